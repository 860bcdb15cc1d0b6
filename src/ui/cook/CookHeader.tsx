"use client";
import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Link from "next/link";
import type { Plan } from "@/core/plan/schema";
import { lengthText } from "@/core/shared/clock";
import type { PlanShown } from "../plan/use-plan-display";
import { COLOUR } from "../theme/tokens";

export const EVERYONE = "";
/** Light on the deep ground of the header. */
const MIST = "#bfe0dc";

/** Read aloud, not seen: the name of the page where there is no room for it. */
const UNSEEN = { position: "absolute", width: "1px", height: "1px", overflow: "hidden", clipPath: "inset(50%)", m: 0 } as const;

interface Props {
  readonly plan: Plan;
  readonly gathering: string;
  readonly minute: number | undefined;
  readonly isPractice: boolean;
  readonly cooks: readonly { readonly id: string; readonly name: string }[];
  readonly whose: string;
  readonly onWhose: (cook: string) => void;
  readonly shown: PlanShown;
}

/** The clock of the day, how long it is to the next wave, and whose screen this is. */
export function CookHeader({ plan, gathering, minute, isPractice, cooks, whose, onWhose, shown }: Props) {
  const target = plan.day.targets.find((one) => minute !== undefined && one.minute >= minute);
  return (
    <Box
      component="header"
      sx={{
        background: COLOUR.tideDeep,
        color: "#fff",
        px: { xs: 1.5, md: 4 },
        py: { xs: 0.75, md: 1.5 },
        display: "flex",
        flexWrap: "wrap",
        columnGap: 2,
        rowGap: 0.5,
        alignItems: "center",
      }}
    >
      <Box component="h1" sx={UNSEEN}>
        Cooking: {plan.day.gathering.name}
      </Box>
      <Box
        component={Link}
        href={`/g/${gathering}/timeline`}
        sx={{ color: MIST, textDecoration: "none", fontWeight: 600, py: 1, display: { xs: "none", md: "block" } }}
      >
        {plan.day.gathering.name}
      </Box>
      <Box
        data-testid="clock"
        sx={{ fontFamily: '"Fraunces Variable", serif', fontSize: { xs: "1.7rem", md: "2.2rem" }, lineHeight: 1 }}
      >
        {minute === undefined ? "" : shown.clock(minute)}
      </Box>
      {target && minute !== undefined && (
        <Box sx={{ fontSize: "1.05rem" }}>
          {target.name} in {lengthText(target.minute - minute)}
        </Box>
      )}
      {isPractice && <Box sx={{ border: `1px solid ${MIST}`, px: 1, borderRadius: "2px" }}>Practice</Box>}
      <TextField
        select
        size="small"
        value={whose}
        onChange={(event) => onWhose(event.target.value)}
        slotProps={{ select: { displayEmpty: true }, htmlInput: { "aria-label": "Whose screen" } }}
        sx={{ ml: "auto", minWidth: 130, background: COLOUR.card, borderRadius: "4px" }}
      >
        <MenuItem value={EVERYONE}>Everyone</MenuItem>
        {cooks.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </TextField>
    </Box>
  );
}
