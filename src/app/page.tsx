import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { format } from "date-fns";
import Link from "next/link";
import { redirect } from "next/navigation";
import { z } from "zod";
import { daysBetween } from "@/core/gathering/calendar";
import { counted } from "@/core/shared/words";
import { gatheringRepository, type GatheringGlance } from "@/db/gatherings";
import { planRepository, type PlanGlance } from "@/db/plans";
import { GatheringCards, type GatheringCard } from "@/ui/home/GatheringCards";
import { Banner } from "@/ui/kit/Banner";
import { Empty } from "@/ui/kit/Empty";
import { LinkButton } from "@/ui/kit/LinkButton";
import { Pages } from "@/ui/kit/Pages";
import { TopBar } from "@/ui/kit/TopBar";
import { dateText, dayNumber, momentText } from "@/ui/plan/plan-summary";
import { deleteGathering, putGatheringAway, repeatGathering } from "./gathering-actions";
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
    forWhom: guests > 0 ? counted(guests, "guest") : "for the freezer",
    begins: plan && plan.lastEnd > 0 ? `hands on from ${beginText(plan)}` : "no plan yet",
  };
}

const TITLES = { coming: "Gatherings", past: "Past gatherings", away: "Put away" } as const;
const LINKS = { coming: "What is coming", past: "What is past", away: "What is put away" } as const;
const SIDES = ["coming", "past", "away"] as const;

const Where = z.object({
  side: z.enum(SIDES).catch("coming"),
  page: z.coerce.number().int().min(1).max(100_000).catch(1),
});

/** The cook's gatherings: what is coming, for how many, and when hands must begin; what is past or put away on pages of its own. */
export default async function Home({ searchParams }: { searchParams: Promise<Record<string, unknown>> }) {
  const { side, page } = Where.parse(await searchParams);
  const today = format(new Date(), "yyyy-MM-dd");
  return withDatabase((db) => {
    const part = { today, side, from: (page - 1) * ON_A_PAGE, most: ON_A_PAGE };
    const { rows, counts } = gatheringRepository(db).page(part);
    if (counts.coming + counts.past + counts.away === 0) redirect("/new");
    const plans = planRepository(db);
    const damaged = rows.filter((row) => row.isDamaged);
    const cards = rows.filter((row) => !row.isDamaged).map((row) => cardOf(row, plans.glance(row.id), today));
    return (
      <>
        <TopBar />
        <Box component="main" sx={{ maxWidth: 980, mx: "auto", px: { xs: 2, md: 4 }, py: 4 }}>
          <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap", mb: 3 }}>
            <div>
              <Typography variant="h1">{TITLES[side]}</Typography>
              <Typography color="text.secondary">
                Several kinds of filled dough, one timeline, counted back from serving.
              </Typography>
            </div>
            <LinkButton href="/new" sx={{ ml: "auto" }}>
              Plan a gathering
            </LinkButton>
          </Box>
          {damaged.map(({ id, name }) => (
            <Banner key={id} kind="caution" title={`${name}: this gathering cannot be read`}>
              It is kept as it is; everything else works. <Link href={`/g/${encodeURIComponent(id)}`}>What is wrong with it</Link>
            </Banner>
          ))}
          {cards.length + damaged.length === 0 && (
            <Empty title={side === "coming" ? "Nothing is coming" : "Nothing here"}>
              {side === "coming" ? "Plan the next one, or look at what is past." : "All that there is lies elsewhere."}
            </Empty>
          )}
          <GatheringCards
            cards={cards}
            side={side}
            putAway={putGatheringAway}
            remove={deleteGathering}
            repeat={repeatGathering}
          />
          <Pages
            page={page}
            onAPage={ON_A_PAGE}
            all={counts[side]}
            words={{ back: "nearer to today", on: "further away" }}
            hrefOf={(n) => `/?side=${side}&page=${n}`}
            asides={SIDES.filter((one) => one !== side && counts[one] > 0).map((one) => ({
              href: one === "coming" ? "/" : `/?side=${one}`,
              text: `${LINKS[one]} (${counts[one]})`,
            }))}
          />
        </Box>
      </>
    );
  });
}
