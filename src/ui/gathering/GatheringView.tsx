"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "next/link";
import { Banner } from "../kit/Banner";
import { useDraft, usePlan } from "../plan/PlanProvider";
import { BesideCard } from "./BesideCard";
import { CommonCard } from "./CommonCard";
import { OneSettingCard } from "./OneSettingCard";
import { CoverageCard } from "./CoverageCard";
import { DoneAheadCard } from "./DoneAheadCard";
import { FreezerCard, type Frozen } from "./FreezerCard";
import { GuestsCard } from "./GuestsCard";
import { OccasionCard } from "./OccasionCard";
import { TakesCard } from "./TakesCard";
import { WaveCard } from "./WaveCard";
import { WhoCooksCard } from "./WhoCooksCard";

const NOTHING: readonly Frozen[] = [];

/** Who, when and what; the pieces and weights fall out beside each choice. */
export function GatheringView() {
  const { change, source } = usePlan();
  const { draft } = useDraft();
  const waves = draft.waves ?? [];
  const frozen = draft.freezer ?? NOTHING;
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "minmax(0, 560px) minmax(0, 1fr)" },
        gap: 2.5,
        alignItems: "start",
      }}
    >
      <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 2.5 }}>
        <OccasionCard />
        <GuestsCard />
        <CoverageCard />
        <WhoCooksCard />
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 2.5 }}>
        {source.items.length === 0 && (
          <Banner kind="note" title="No recipe is here yet">
            Pieces, weights and the timeline begin with the first one: <Link href="/items/new">type in a recipe</Link>, then add
            it here.
          </Banner>
        )}
        {waves.map((wave, index) => (
          <WaveCard key={wave.id} wave={wave} index={index} theOnly={waves.length === 1 && frozen.length === 0} />
        ))}
        <FreezerCard frozen={frozen} />
        <BesideCard />
        <TakesCard />
        <DoneAheadCard />
        <CommonCard once={draft.mixTogether === true} />
        <OneSettingCard together={draft.bakeTogether === true} />
        <Box>
          <Button
            variant="outlined"
            onClick={() =>
              change((d) => {
                const waves = d.waves ?? [];
                const id = `wave-${1 + Math.max(0, ...waves.map((w) => Number(/^wave-(\d+)$/.exec(w.id)?.[1] ?? 0)))}`;
                return { ...d, waves: [...waves, { id, name: "Another wave", time: "18:00", items: [] }] };
              })
            }
          >
            Add a serving wave
          </Button>
        </Box>
      </Box>
    </Box>
  );
}
