"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { issueText } from "@/core/shared/issue-text";
import type { Issue, Result } from "@/core/shared/issue";
import { Banner } from "../kit/Banner";
import { TopBar } from "../kit/TopBar";

interface Props {
  readonly devices: readonly { readonly id: string; readonly name: string; readonly pairedAt: string }[];
  /** Where other devices reach this one; empty where they cannot. */
  readonly addresses: readonly string[];
  readonly makeCode: () => Promise<Result<{ readonly code: string; readonly until: number }>>;
  readonly revoke: (id: string) => Promise<Result<unknown>>;
}

const clockOf = (ms: number): string => new Date(ms).toTimeString().slice(0, 5);

/** Which other devices are let in: none until one is asked for, each by a code of its own, and out again at any time. */
export function DevicesView({ devices, addresses, makeCode, revoke }: Props) {
  const router = useRouter();
  const [code, setCode] = useState<{ code: string; until: number } | undefined>();
  const [issue, setIssue] = useState<Issue | undefined>();
  const letIn = async () => {
    const made = await makeCode();
    setIssue(made.ok ? undefined : made.issues[0]);
    if (made.ok) setCode(made.value);
  };
  const shutOut = async (id: string) => {
    const done = await revoke(id);
    setIssue(done.ok ? undefined : done.issues[0]);
    router.refresh();
  };
  const isReached = addresses.length > 0;
  return (
    <>
      <TopBar />
      <Box component="main" sx={{ maxWidth: 760, mx: "auto", px: { xs: 2, md: 4 }, py: 4, display: "grid", gap: 2.5 }}>
        <div>
          <Typography variant="h1">Other devices</Typography>
          <Typography color="text.secondary">
            A phone or tablet at home sees your gatherings only after you let it in here, and only until you shut it out.
          </Typography>
        </div>
        {issue && (
          <Banner kind="refused" role="alert">
            {issueText(issue, "That")}
          </Banner>
        )}
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
                <div>
                  On the other device open one of {addresses.map((address) => `${address}`).join(", ")} with this port, and type:
                </div>
                <Typography
                  component="output"
                  aria-label="Code"
                  sx={{ fontSize: "2.6rem", letterSpacing: "0.12em", fontVariantNumeric: "tabular-nums" }}
                >
                  {code.code.slice(0, 4)} {code.code.slice(4)}
                </Typography>
                <div>It lets one device in, until {clockOf(code.until)} or five wrong tries.</div>
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
          devices.map(({ id, name, pairedAt }) => (
            <Paper key={id} sx={{ p: 2, display: "flex", alignItems: "center", gap: 2 }}>
              <Box sx={{ flex: 1, minWidth: 0, overflowWrap: "anywhere" }}>
                <Typography variant="h2" component="h2">
                  {name}
                </Typography>
                <Typography variant="caption">let in on {pairedAt.slice(0, 10)}</Typography>
              </Box>
              <Button variant="outlined" onClick={() => shutOut(id)} aria-label={`Shut ${name} out`}>
                Shut out
              </Button>
            </Paper>
          ))
        )}
      </Box>
    </>
  );
}
