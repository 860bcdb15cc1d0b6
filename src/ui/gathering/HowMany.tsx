"use client";
import Box from "@mui/material/Box";
import Radio from "@mui/material/Radio";
import { roundingOffers, type RoundingOffer } from "@/core/gathering/headcount";
import { catalogueOf } from "@/core/ingredients/own";
import type { Item } from "@/core/item/schema";
import { fractionText } from "@/core/quantities/display";
import { NumberField } from "../kit/NumberField";
import { usePlan } from "../plan/PlanProvider";
import { COLOUR } from "../theme/tokens";
import type { LineEntry } from "./line-entry";

const WORDS: Readonly<Record<RoundingOffer["rounding"], string>> = {
  carriers: "full trays or loads, where that costs little",
  exact: "exactly",
  "half-batch": "half batches",
  "whole-batch": "whole batches",
};

interface Props {
  readonly item: Item;
  readonly entry: LineEntry;
  readonly wave: { readonly id: string; readonly kinds: number };
  readonly shareError: string | undefined;
  readonly onChange: (edit: Partial<LineEntry>) => void;
  readonly onAsk: (pieces: number | undefined) => void;
}

/** How much of a wave an item is, to what it is rounded, and where what is over goes. */
export function HowMany({ item, entry, wave, shareError, onChange, onAsk }: Props) {
  const { latest } = usePlan();
  if (!latest) return null;
  const { gathering, kitchen, items, own } = latest.request;
  const offers = roundingOffers(
    gathering,
    new Map(items.map((one) => [one.id, one])),
    kitchen,
    wave.id,
    item.id,
    catalogueOf(own),
  );
  const chosen = entry.rounding ?? "carriers";
  const over = offers.find(({ rounding }) => rounding === chosen)?.surplus ?? 0;
  return (
    <>
      {wave.kinds > 1 && (
        <div className="fields">
          <span>of all that is eaten here</span>
          <NumberField
            label={`Share of ${item.name}, percent`}
            value={entry.share}
            onChange={(share) => onChange({ share })}
            placeholder="its own"
            error={shareError}
            width={84}
            quiet
          />
          <span>%</span>
        </div>
      )}
      {entry.pieces !== undefined ? (
        <div>
          {entry.pieces} {entry.pieces === 1 ? "piece was" : "pieces were"} asked for; empty the field and they follow from the
          guests.
        </div>
      ) : (
        <Box role="radiogroup" aria-label={`How ${item.name} is rounded`} sx={{ display: "grid" }}>
          {offers.map(({ rounding, pieces, factor, surplus }) => (
            <Box component="label" key={rounding} sx={{ display: "flex", alignItems: "center", gap: 1, cursor: "pointer" }}>
              <Radio
                size="small"
                checked={rounding === chosen}
                onChange={() => {
                  onChange({ rounding });
                  if (entry.pieces !== undefined) onAsk(undefined);
                }}
                slotProps={{ input: { "aria-label": `${pieces} pieces: ${WORDS[rounding]}` } }}
                sx={{ p: 0.5 }}
              />
              <Box
                component="span"
                sx={{ fontSize: "1.05rem", fontWeight: 640, color: COLOUR.ink, minWidth: 34, textAlign: "right" }}
              >
                {pieces}
              </Box>
              <span>
                {WORDS[rounding]} · {factorText(factor)} the recipe of {item.base.pieces}
                {surplus > 0 && ` · ${surplus} over`}
              </span>
            </Box>
          ))}
        </Box>
      )}
      {over > 0 && entry.pieces === undefined && (
        <div className="fields" role="radiogroup" aria-label={`Where the ${over} over of ${item.name} go`}>
          <span>the {over} over go</span>
          {(["table", "freezer"] as const).map((where) => (
            <Box component="label" key={where} sx={{ display: "flex", alignItems: "center", cursor: "pointer" }}>
              <Radio
                size="small"
                checked={(entry.surplus ?? "table") === where}
                onChange={() => onChange({ surplus: where })}
                slotProps={{ input: { "aria-label": where === "table" ? "on the table" : "into the freezer" } }}
                sx={{ p: 0.5 }}
              />
              {where === "table" ? "on the table" : "into the freezer"}
            </Box>
          ))}
        </div>
      )}
    </>
  );
}

/** "2½ ×", or "2.94 ×" where it is no half. */
const factorText = (factor: number): string => `${(factor * 2) % 1 === 0 ? fractionText(factor) : factor.toFixed(3)} ×`;
