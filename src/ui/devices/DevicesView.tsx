"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { differenceInMinutes, startOfDay } from "date-fns";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Result } from "@/core/shared/issue";
import { Banner } from "../kit/Banner";
import { TopBar } from "../kit/TopBar";
import { useAttempt } from "../kit/use-attempt";
import { useDisplay } from "../kit/use-display";
import { Main } from "../kit/Main";

interface Props {
  readonly devices: readonly { readonly id: string; readonly name: string; readonly pairedAt: string }[];
  /** Where other devices reach this one; empty where they cannot. */
  readonly addresses: readonly string[];
  readonly makeCode: () => Promise<Result<{ readonly code: string; readonly until: number }>>;
  readonly revoke: (id: string) => Promise<Result<unknown>>;
}

/** Which other devices are let in: none until one is asked for, each by a code of its own, and out again at any time. */
export function DevicesView({ devices, addresses, makeCode, revoke }: Props) {
  const router = useRouter();
  const [code, setCode] = useState<{ code: string; until: number } | undefined>();
  const { clock } = useDisplay();
  const { attempt, told } = useAttempt();
  const letIn = () => attempt("Making a code", makeCode, setCode);
  const shutOut = ({ id, name }: Props["devices"][number]) =>
    attempt(
      `Shutting ${name} out`,
      () => revoke(id),
      () => router.refresh(),
    );
  const isReached = addresses.length > 0;
  return (
    <>
      <TopBar />
      <Main sx={{ maxWidth: 760, mx: "auto", px: { xs: 2, md: 4 }, py: 4, display: "grid", gap: 2.5 }}>
        <div>
          <Typography variant="h1">Other devices</Typography>
          <Typography color="text.secondary">
            A phone or tablet at home sees your gatherings only after you let it in here, and only until you shut it out.
          </Typography>
        </div>
        {told}
        {!isReached && (
          <Banner kind="note" title="No other device can reach this one now">
            Unisynth listens to this device only. Start it with “npm run demo -- --host 0.0.0.0” in a home network that you trust:
            what is sent there is not encrypted.
          </Banner>
        )}
        {isReached && (
          <Paper sx={{ p: 2.5, display: "grid", gap: 1.5, justifyItems: "start" }}>
            {code ? (
              <>
                <div>On the other device open one of {addresses.join(", ")} with this port, and type:</div>
                <Typography
                  component="output"
                  aria-label="Code"
                  sx={{ fontSize: "2.6rem", letterSpacing: "0.12em", fontVariantNumeric: "tabular-nums" }}
                >
                  {code.code.slice(0, 4)} {code.code.slice(4)}
                </Typography>
                <div>
                  It lets one device in, until {clock(differenceInMinutes(code.until, startOfDay(code.until)))} or five wrong
                  tries.
                </div>
              </>
            ) : (
              <div>One code lets one device in, within ten minutes.</div>
            )}
            <Button variant={code ? "outlined" : "contained"} onClick={letIn}>
              {code ? "Another code" : "Let a device in"}
            </Button>
          </Paper>
        )}
        {devices.length === 0 ? (
          <Typography color="text.secondary">No other device is let in.</Typography>
        ) : (
          devices.map((device) => (
            <Paper key={device.id} sx={{ p: 2, display: "flex", alignItems: "center", gap: 2 }}>
              <Box sx={{ flex: 1, minWidth: 0, overflowWrap: "anywhere" }}>
                <Typography variant="h2" component="h2">
                  {device.name}
                </Typography>
                <Typography variant="caption">let in on {device.pairedAt.slice(0, 10)}</Typography>
              </Box>
              <Button variant="outlined" onClick={() => shutOut(device)} aria-label={`Shut ${device.name} out`}>
                Shut out
              </Button>
            </Paper>
          ))
        )}
      </Main>
    </>
  );
}
