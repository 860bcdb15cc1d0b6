import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { format } from "date-fns";
import Link from "next/link";
import { z } from "zod";
import { daysBetween } from "@/core/gathering/calendar";
import { gatheringRepository, type GatheringGlance } from "@/db/gatherings";
import { planRepository, type PlanGlance } from "@/db/plans";
import { GatheringCards, type GatheringCard } from "@/ui/home/GatheringCards";
import { Banner } from "@/ui/kit/Banner";
import { Empty } from "@/ui/kit/Empty";
import { Pages } from "@/ui/kit/Pages";
import { TopBar } from "@/ui/kit/TopBar";
import { dateText, dayNumber, momentText } from "@/ui/plan/plan-summary";
import { withDatabase } from "./with-database";

/** Cards on one page. */
const ON_A_PAGE = 24;

const awayText = (days: number): string =>
  days === 0 ? "today" : days === 1 ? "tomorrow" : days === -1 ? "yesterday" : days < 0 ? `${-days} days ago` : `in ${days} days`;

/** When hands must begin; the day where the plan runs over several. */
function beginText({ origin, firstStart, lastEnd }: PlanGlance): string {
  const when = { origin, clockChanges: [] };
  return momentText(when, firstStart, dayNumber(when, firstStart) !== dayNumber(when, lastEnd - 1));
}

function cardOf(gathering: GatheringGlance, plan: PlanGlance | undefined, today: string): GatheringCard {
  const { id, name, line, date, guests } = gathering;
  return {
    id,
    name,
    line,
    day: dateText(date),
    away: awayText(daysBetween(today, date)),
    forWhom: guests > 0 ? `${guests} guests` : "for the freezer",
    begins: plan && plan.lastEnd > 0 ? `hands on from ${beginText(plan)}` : "no plan yet",
  };
}

const Where = z.object({
  past: z.literal("1").optional().catch(undefined),
  page: z.coerce.number().int().min(1).max(100_000).catch(1),
});

/** The cook's gatherings: what is coming, for how many, and when hands must begin; what is past on pages of its own. */
export default async function Home({ searchParams }: { searchParams: Promise<Record<string, unknown>> }) {
  const where = Where.parse(await searchParams);
  const today = format(new Date(), "yyyy-MM-dd");
  return withDatabase((db) => {
    const isPast = where.past !== undefined;
    const part = { today, past: isPast, from: (where.page - 1) * ON_A_PAGE, count: ON_A_PAGE };
    const { rows, coming, past } = gatheringRepository(db).page(part);
    const plans = planRepository(db);
    const damaged = rows.filter((row) => row.isDamaged);
    const cards = rows.filter((row) => !row.isDamaged).map((row) => cardOf(row, plans.glance(row.id), today));
    return (
      <>
        <TopBar />
        <Box component="main" sx={{ maxWidth: 980, mx: "auto", px: { xs: 2, md: 4 }, py: 4 }}>
          <Typography variant="h1">{isPast ? "Past gatherings" : "Gatherings"}</Typography>
          <Typography color="text.secondary" sx={{ mb: 3 }}>
            Several kinds of filled dough, one timeline, counted back from serving.
          </Typography>
          {damaged.map(({ id, name }) => (
            <Banner key={id} kind="caution" title={`${name}: this gathering cannot be read`}>
              It is kept as it is; everything else works. <Link href={`/g/${encodeURIComponent(id)}`}>What is wrong with it</Link>
            </Banner>
          ))}
          {coming + past === 0 ? (
            <Empty title="No gatherings yet">Run “npm run demo -- --reset” to fill in the demo.</Empty>
          ) : cards.length + damaged.length === 0 ? (
            <Empty title={isPast ? "Nothing here" : "Nothing is coming"}>
              All that there is lies on the other side of today.
            </Empty>
          ) : (
            <GatheringCards cards={cards} />
          )}
          <Pages
            page={where.page}
            onAPage={ON_A_PAGE}
            all={isPast ? past : coming}
            hrefOf={(page) => `/?${isPast ? "past=1&" : ""}page=${page}`}
            aside={
              isPast
                ? { href: "/", text: `What is coming (${coming})` }
                : past > 0
                  ? { href: "/?past=1", text: `What is past (${past})` }
                  : undefined
            }
          />
        </Box>
      </>
    );
  });
}
