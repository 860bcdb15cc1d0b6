import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { format } from "date-fns";
import Link from "next/link";
import { clockText } from "@/core/shared/clock";
import { gatheringDate } from "@/core/plan/days";
import { database } from "@/db/database";
import { gatheringRepository } from "@/db/gatherings";
import { planRepository } from "@/db/plans";
import { Empty } from "@/ui/kit/Empty";
import { dayText, summarise } from "@/ui/plan/plan-summary";
import { guestTotal } from "@/ui/plan/plan-state";
import { COLOUR } from "@/ui/theme/tokens";

/** The cook's gatherings: what is coming, for how many, and when hands must begin. */
export default function Home() {
  const db = database();
  const today = format(new Date(), "yyyy-MM-dd");
  const cards = gatheringRepository(db)
    .all()
    .map(({ gathering }) => {
      const date = gatheringDate(gathering.date, today);
      const stored = planRepository(db).latest(gathering.id);
      return { gathering, date, summary: stored && summarise(stored.plan, stored.request), guests: guestTotal(gathering) };
    })
    .sort((a, b) => (a.date < b.date ? -1 : 1));
  return (
    <Box component="main" sx={{ maxWidth: 980, mx: "auto", px: { xs: 2, md: 4 }, py: 5 }}>
      <Typography variant="h1">Unisynth</Typography>
      <Typography color="text.secondary" sx={{ mb: 3 }}>
        Several kinds of filled dough, one timeline, counted back from serving.
      </Typography>
      {cards.length === 0 && <Empty title="No gatherings yet">Run “npm run demo -- --reset” to fill in the demo.</Empty>}
      <Box sx={{ display: "grid", gap: 2 }}>
        {cards.map(({ gathering, date, summary, guests }) => (
          <Paper
            key={gathering.id}
            component={Link}
            href={`/g/${gathering.id}`}
            sx={{ p: 2.5, textDecoration: "none", color: "inherit", display: "grid", gridTemplateColumns: { xs: "1fr", sm: "120px 1fr auto" }, gap: 2, "&:hover, &:focus-visible": { borderColor: COLOUR.tide } }}
          >
            <Typography sx={{ fontWeight: 650, color: COLOUR.tide }}>{dayText(date, 0)}</Typography>
            <Box>
              <Typography variant="h2" component="h2">
                {gathering.name}
              </Typography>
              <Typography variant="body2" color="text.secondary">
                {gathering.line}
              </Typography>
            </Box>
            <Box sx={{ textAlign: { sm: "right" }, fontSize: "0.875rem" }}>
              <div>{guests > 0 ? `${guests} guests` : "for the freezer"}</div>
              <Box sx={{ color: COLOUR.soft }}>{summary ? `hands on from ${clockText(summary.firstStart)}` : "no plan yet"}</Box>
            </Box>
          </Paper>
        ))}
      </Box>
    </Box>
  );
}
