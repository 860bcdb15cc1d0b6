"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useCallback, useMemo, useState } from "react";
import { equipmentNamed } from "@/core/item/check";
import type { Item } from "@/core/item/schema";
import { ownKitchenIssues } from "@/core/kitchen/check";
import { KitchenSchema, type Kitchen } from "@/core/kitchen/schema";
import type { Issue, Result } from "@/core/shared/issue";
import { issueText } from "@/core/shared/issue-text";
import { parseWith } from "@/core/shared/parse";
import { Banner } from "../kit/Banner";
import { TopBar } from "../kit/TopBar";
import { useDisplay } from "../kit/use-display";
import { Main } from "../kit/Main";
import { ConflictDialog } from "../session/ConflictDialog";
import type { Revised } from "../session/document-session";
import { SavingState } from "../session/SavingState";
import { useDocument } from "../session/use-document";
import { CooksCard } from "./CooksCard";
import { EQUIPMENT } from "./equipment-fields";
import { fieldName } from "./kitchen-text";
import { EquipmentCard } from "./EquipmentCard";
import { DayEffect, type NextGathering } from "../plan/DayEffect";
import { RoomCard } from "./RoomCard";

interface Props {
  readonly stored: Revised<Kitchen>;
  readonly items: readonly Item[];
  /** The next gathering that is held here. */
  readonly next: NextGathering | undefined;
  readonly save: (kitchen: Kitchen, from: number) => Promise<Result<{ readonly revision: number }>>;
}

/** What is wrong with a kitchen as it stands, by field. */
function issuesOf(kitchen: Kitchen, named: ReadonlySet<string>): readonly Issue[] {
  const parsed = parseWith(KitchenSchema, kitchen);
  return parsed.ok ? ownKitchenIssues(parsed.value, named) : parsed.issues;
}

/** One kitchen: who cooks there, what there is and how much of an item it takes, how warm it is. */
export function KitchenView({ stored, items, next, save }: Props) {
  const named = useMemo(() => new Set(items.flatMap(equipmentNamed)), [items]);
  const form = useDocument<Kitchen>({
    key: `kitchen-${stored.document.id}`,
    kind: "kitchen",
    initial: stored,
    isRight: (draft) => issuesOf(draft, named).length === 0,
    save,
  });
  const { draft: kitchen, change, conflict } = form;
  const { heat } = useDisplay();
  const [shownId, setShownId] = useState(items[0]?.id ?? "");
  const shown = items.find((item) => item.id === shownId);
  const issues = issuesOf(kitchen, named);
  const meansWith = useCallback((one: Kitchen) => ({ items, kitchen: one }), [items]);
  const equipment = kitchen.equipment as Readonly<Record<string, Readonly<Record<string, unknown>> | undefined>>;
  const setEquipment = (id: string, value: Readonly<Record<string, unknown>> | undefined) =>
    change((k) => {
      const { [id]: _before, ...others } = k.equipment as Record<string, unknown>;
      return { ...k, equipment: (value === undefined ? others : { ...others, [id]: value }) as Kitchen["equipment"] };
    });
  const there = EQUIPMENT.filter(({ id }) => equipment[id] !== undefined);
  const missing = EQUIPMENT.filter(({ id }) => equipment[id] === undefined);
  return (
    <>
      <TopBar>
        <SavingState form={form} name="the kitchen" />
      </TopBar>
      {conflict && <ConflictDialog key={conflict.theirs.revision} conflict={conflict} onResolve={form.resolve} />}
      <Main sx={{ px: { xs: 2, md: 4 }, py: 2.5 }}>
        <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, flexWrap: "wrap", mb: 2 }}>
          <TextField
            value={kitchen.name}
            onChange={(event) => change((k) => ({ ...k, name: event.target.value }))}
            error={kitchen.name.trim() === ""}
            helperText={kitchen.name.trim() === "" ? "the kitchen needs a name" : undefined}
            slotProps={{ htmlInput: { "aria-label": "Name of the kitchen" } }}
            sx={{ flex: "0 1 360px", "& input": { fontWeight: 640, fontSize: "1.1rem" } }}
          />
          <Button onClick={form.undo} disabled={!form.canUndo}>
            Undo
          </Button>
          <TextField
            select
            label="Core figures usual in"
            value={kitchen.guide ?? "us"}
            onChange={(event) => change((k) => ({ ...k, guide: event.target.value === "uk" ? "uk" : undefined }))}
            sx={{ width: 190 }}
          >
            <MenuItem value="us">{heat("the US: 63 °C to 74 °C")}</MenuItem>
            <MenuItem value="uk">{heat("the UK: 75 °C")}</MenuItem>
          </TextField>
          {items.length > 0 && (
            <TextField
              select
              label="Shown with"
              value={shownId}
              onChange={(event) => setShownId(event.target.value)}
              sx={{ ml: "auto", minWidth: 220 }}
            >
              {items.map((item) => (
                <MenuItem key={item.id} value={item.id}>
                  {item.name}
                </MenuItem>
              ))}
            </TextField>
          )}
        </Box>
        {next && issues.length === 0 && <DayEffect next={next} before={stored.document} now={kitchen} meansWith={meansWith} />}
        {issues.length > 0 && (
          <Banner kind="caution" title="Not saved yet: a field needs you">
            {issues.slice(0, 4).map((issue) => (
              <div key={issueText(issue)}>{issueText(issue, fieldName(issue.path, kitchen))}</div>
            ))}
          </Banner>
        )}
        <Box
          sx={{
            mt: 2,
            display: "grid",
            gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "minmax(0, 440px) minmax(0, 1fr)" },
            gap: 2.5,
            alignItems: "start",
          }}
        >
          <Box sx={{ display: "grid", gap: 2.5 }}>
            <CooksCard kitchen={kitchen} change={change} />
            <RoomCard kitchen={kitchen} change={change} />
          </Box>
          <Box sx={{ display: "grid", gap: 2, gridTemplateColumns: "repeat(auto-fill, minmax(min(330px, 100%), 1fr))" }}>
            {there.map((kind) => (
              <EquipmentCard
                key={kind.id}
                kind={kind}
                kitchen={kitchen}
                item={shown}
                value={equipment[kind.id]!}
                onChange={(value) => setEquipment(kind.id, value)}
              />
            ))}
            {missing.length > 0 && (
              <Paper component="section" aria-label="What there is not" sx={{ p: 2 }}>
                <Typography variant="h2" sx={{ mb: 1 }}>
                  Not here
                </Typography>
                <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1 }}>
                  {missing.map(({ id, name, begin }) => (
                    <Button
                      key={id}
                      size="small"
                      variant="outlined"
                      onClick={() => setEquipment(id, begin)}
                      aria-label={`Add: ${name}`}
                    >
                      + {name}
                    </Button>
                  ))}
                </Box>
              </Paper>
            )}
          </Box>
        </Box>
      </Main>
    </>
  );
}
