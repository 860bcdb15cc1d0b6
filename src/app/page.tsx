import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { format } from "date-fns";
import { daysBetween, gatheringDate } from "@/core/gathering/calendar";
import { database } from "@/db/database";
import { gatheringRepository } from "@/db/gatherings";
import { planRepository, type PlanGlance } from "@/db/plans";
import { GatheringCards, type GatheringCard } from "@/ui/home/GatheringCards";
import { TopBar } from "@/ui/kit/TopBar";
import { Empty } from "@/ui/kit/Empty";
import { Unreadable } from "@/ui/kit/Unreadable";
import { guestTotal } from "@/ui/plan/plan-state";
import { dateText, dayNumber, momentText } from "@/ui/plan/plan-summary";

const awayText = (days: number): string =>
  days === 0 ? "today" : days === 1 ? "tomorrow" : days < 0 ? "past" : `in ${days} days`;

/** When hands must begin; the day where the plan runs over several. */
function beginText({ origin, firstStart, lastEnd }: PlanGlance): string {
  const when = { origin, clockChanges: [] };
  return momentText(when, firstStart, dayNumber(when, firstStart) !== dayNumber(when, lastEnd - 1));
}

/** The cook's gatherings: what is coming, for how many, and when hands must begin. */
export default function Home() {
  const db = database();
  const today = format(new Date(), "yyyy-MM-dd");
  const { readable, unreadable } = gatheringRepository(db).list();
  const plans = planRepository(db).glances();
  const cards = readable
    .map(({ document: gathering }) => ({ gathering, date: gatheringDate(gathering.date, today) }))
    .sort((a, b) => (a.date < b.date ? -1 : 1))
    .map(({ gathering, date }): GatheringCard => {
      const plan = plans.get(gathering.id);
      const guests = guestTotal(gathering);
      return {
        id: gathering.id,
        name: gathering.name,
        line: gathering.line,
        day: dateText(date),
        away: awayText(daysBetween(today, date)),
        forWhom: guests > 0 ? `${guests} guests` : "for the freezer",
        begins: plan && plan.lastEnd > 0 ? `hands on from ${beginText(plan)}` : "no plan yet",
      };
    });
  return (
    <>
      <TopBar />
      <Box component="main" sx={{ maxWidth: 980, mx: "auto", px: { xs: 2, md: 4 }, py: 4 }}>
        <Typography variant="h1">Gatherings</Typography>
        <Typography color="text.secondary" sx={{ mb: 3 }}>
          Several kinds of filled dough, one timeline, counted back from serving.
        </Typography>
        <Unreadable rows={unreadable} kind="gathering" />
        {cards.length === 0 ? (
          <Empty title="No gatherings yet">Run “npm run demo -- --reset” to fill in the demo.</Empty>
        ) : (
          <GatheringCards cards={cards} />
        )}
      </Box>
    </>
  );
}
