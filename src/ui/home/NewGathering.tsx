"use client";
import { zodResolver } from "@hookform/resolvers/zod";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import Paper from "@mui/material/Paper";
import Radio from "@mui/material/Radio";
import Typography from "@mui/material/Typography";
import { format } from "date-fns";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState, type ReactNode } from "react";
import { useForm, useWatch } from "react-hook-form";
import type { z } from "zod";
import { daysBetween } from "@/core/gathering/calendar";
import { FirstSchema, type First } from "@/core/gathering/make";
import type { Result } from "@/core/shared/issue";
import { counted } from "@/core/shared/words";
import { readClock, readNumber } from "@/core/shared/typed";
import { Banner } from "../kit/Banner";
import { Field } from "../kit/Field";
import { TopBar } from "../kit/TopBar";
import { useAttempt } from "../kit/use-attempt";
import { Main } from "../kit/Main";
import { COLOUR } from "../theme/tokens";

export interface Choice {
  readonly id: string;
  readonly name: string;
  /** What there is to say of it: how much a piece is, who cooks. */
  readonly line: string;
}

interface Props {
  readonly items: readonly Choice[];
  readonly kitchens: readonly Choice[];
  /** yyyy-mm-dd */
  readonly today: string;
  readonly isFirst: boolean;
  readonly create: (first: First) => Promise<Result<{ id: string }>>;
  readonly createKitchen: (kitchen: { name: string }) => Promise<Result<{ id: string }>>;
}

const GUESTS = [
  ["adults", "Adults"],
  ["teens", "Teenagers"],
  ["children", "Children"],
] as const;

/** A gathering in three questions: who comes and when, what there is, whose kitchen. All else falls out, and can be changed. */
export function NewGathering({ items, kitchens, today, isFirst, create, createKitchen }: Props) {
  const router = useRouter();
  const { attempt, told } = useAttempt();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [kitchen, setKitchen] = useState(kitchens[0]?.id ?? "");
  const form = useForm<z.input<typeof FirstSchema>, unknown, First>({
    resolver: zodResolver(FirstSchema),
    defaultValues: { name: "", date: "", time: "18:30", adults: 8, teens: 0, children: 0, items: [], kitchen: kitchen || "own" },
  });
  const { errors } = form.formState;
  const typed = useWatch({ control: form.control });
  const { date = "", time = "" } = typed;
  const heads = GUESTS.reduce((sum, [field]) => sum + (Number.isFinite(typed[field]) ? typed[field]! : 0), 0);
  const make = form.handleSubmit((first) => {
    const open = (id: string) => router.push(`/g/${encodeURIComponent(id)}`);
    const withKitchen = (id: string) =>
      attempt(
        `Making ${first.name}`,
        () => create({ ...first, items: [...chosen], kitchen: id }),
        (made) => open(made.id),
      );
    if (kitchen) withKitchen(kitchen);
    else
      attempt(
        "Making a kitchen",
        () => createKitchen({ name: "My kitchen" }),
        (made) => withKitchen(made.id),
      );
  });
  return (
    <>
      <TopBar />
      <Main sx={{ maxWidth: 980, mx: "auto", px: { xs: 2, md: 4 }, py: 4 }}>
        <Typography variant="h1">{isFirst ? "Your first gathering" : "A gathering"}</Typography>
        <Typography color="text.secondary" sx={{ mb: 3 }}>
          Three answers are enough for pieces, weights and a first timeline. Everything can be changed afterwards.
        </Typography>
        {told}
        <Box component="form" onSubmit={make} noValidate sx={{ display: "grid", gap: 2.5 }}>
          <Question number="1" title="Who comes, and when?">
            <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap" }}>
              <Field
                label="Name"
                of={form.register("name")}
                problem={errors.name}
                value={typed.name}
                sx={{ flex: "1 1 240px" }}
              />
              <Field label="Day" type="date" of={form.register("date")} problem={errors.date} value={date} />
              <Field
                label="Served at"
                of={form.register("time")}
                problem={errors.time}
                value={time}
                sx={{ width: errors.time ? 260 : 120 }}
              />
            </Box>
            <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "flex-start", mt: 1.5 }}>
              {GUESTS.map(([field, label]) => (
                <Field
                  key={field}
                  label={label}
                  figures
                  of={form.register(field, { setValueAs: (text) => readNumber(String(text)) ?? NaN })}
                  problem={errors[field]}
                  value={typed[field]}
                  sx={{ width: errors[field] ? 260 : 110 }}
                />
              ))}
              <Answer>
                {counted(heads, "guest")}
                {date && `, ${whenText(today, date)} at ${readClock(time) ?? time}`}
              </Answer>
            </Box>
          </Question>
          <Question number="2" title="What is there to eat?">
            {items.length === 0 ? (
              <Banner kind="note" title="No recipe is here yet">
                Make the gathering now and add its items when their recipes are typed in, or{" "}
                <Link href="/items/new">type in a recipe first</Link>.
              </Banner>
            ) : (
              <Box sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(260px, 1fr))", columnGap: 2 }}>
                {items.map((item) => (
                  <FormControlLabel
                    key={item.id}
                    control={
                      <Checkbox
                        checked={chosen.includes(item.id)}
                        onChange={(_, on) => setChosen((now) => (on ? [...now, item.id] : now.filter((id) => id !== item.id)))}
                      />
                    }
                    label={<Named choice={item} />}
                    sx={{ alignItems: "flex-start", mr: 0, py: 0.5 }}
                  />
                ))}
              </Box>
            )}
          </Question>
          <Question number="3" title="Whose kitchen?">
            <Box role="radiogroup" aria-label="Whose kitchen?" sx={{ display: "grid" }}>
              {[...kitchens, OWN_KITCHEN].map((one) => (
                <FormControlLabel
                  key={one.id}
                  control={<Radio checked={kitchen === one.id} onChange={() => setKitchen(one.id)} name="kitchen" />}
                  label={<Named choice={one} />}
                  sx={{ alignItems: "flex-start", py: 0.25 }}
                />
              ))}
            </Box>
          </Question>
          <div>
            <Button type="submit" variant="contained" size="large">
              Plan it
            </Button>
          </div>
        </Box>
      </Main>
    </>
  );
}

const OWN_KITCHEN: Choice = {
  id: "",
  name: "A kitchen of my own",
  line: "one pair of hands, an oven with two shelves, four rings, a fridge: yours to change under Kitchens",
};

const whenText = (today: string, date: string): string => {
  const days = daysBetween(today, date);
  const day = format(new Date(`${date}T12:00:00`), "EEEE d MMMM");
  return days < 0 ? `${day}, which is over` : days === 0 ? "today" : days === 1 ? "tomorrow" : `${day}, in ${days} days`;
};

function Question({ number, title, children }: { number: string; title: string; children: ReactNode }) {
  return (
    <Paper component="section" aria-labelledby={`question-${number}`} sx={{ p: 2.5 }}>
      <Typography variant="h2" id={`question-${number}`} sx={{ mb: 1.5 }}>
        <Box component="span" aria-hidden sx={{ color: COLOUR.tide, mr: 1 }}>
          {number}
        </Box>
        {title}
      </Typography>
      {children}
    </Paper>
  );
}

function Answer({ children }: { children: ReactNode }) {
  return <Box sx={{ fontSize: "1.15rem", fontWeight: 600, alignSelf: "center", minWidth: 0 }}>{children}</Box>;
}

function Named({ choice: { name, line } }: { choice: Choice }) {
  return (
    <Box component="span" sx={{ display: "block", pt: 1 }}>
      <Box component="span" sx={{ fontWeight: 600 }}>
        {name}
      </Box>
      <Box component="span" sx={{ display: "block", fontSize: "0.85rem", color: COLOUR.soft }}>
        {line}
      </Box>
    </Box>
  );
}
