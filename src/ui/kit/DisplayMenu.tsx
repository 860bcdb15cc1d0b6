"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Popover from "@mui/material/Popover";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useState, type ReactNode } from "react";
import { NumberField } from "./NumberField";
import { CupsSelect } from "./CupsSelect";
import { useDisplay } from "./use-display";

/** Those that are asked for most; the shop's own is shown by its sign. */
const CURRENCIES = "AUD BRL CAD CHF CNY CZK DKK EUR GBP HUF IDR INR JPY KRW MXN NOK NZD PLN RON SEK SGD TRY USD ZAR".split(" ");

/** Units, clock and hob of this cook, behind one button that says what they are. */
export function DisplayMenu() {
  const { display, set } = useDisplay();
  const [at, setAt] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        onClick={(event) => setAt(event.currentTarget)}
        aria-haspopup="dialog"
        sx={{ color: "#e4f1ef", minHeight: 32, fontSize: "0.8rem", whiteSpace: "nowrap" }}
      >
        Units: {display.weights} · °{display.heat} · {display.clock} h
      </Button>
      <Popover
        open={at !== null}
        anchorEl={at}
        onClose={() => setAt(null)}
        anchorOrigin={{ vertical: "bottom", horizontal: "right" }}
        transformOrigin={{ vertical: "top", horizontal: "right" }}
        slotProps={{ paper: { role: "dialog", "aria-label": "Units, clock and hob", sx: { p: 2, width: 330 } } }}
      >
        <Box sx={{ display: "grid", gap: 1.5 }}>
          <Choice
            name="Weights"
            value={display.weights}
            of={[
              ["g", "grams"],
              ["oz", "ounces"],
            ]}
            onPick={(weights) => set({ weights })}
          />
          <Choice
            name="Temperature"
            value={display.heat}
            of={[
              ["C", "°C"],
              ["F", "°F"],
            ]}
            onPick={(heat) => set({ heat })}
          />
          <Choice
            name="Clock"
            value={display.clock}
            of={[
              ["24", "18:30"],
              ["12", "6:30 pm"],
            ]}
            onPick={(clock) => set({ clock })}
          />
          <CupsSelect label="Cups and spoons" value={display.system} onChange={(system) => set({ system })} />
          <Row name="Fan oven is set cooler by, °C">
            <NumberField
              label="Fan oven is set cooler by, °C"
              value={display.fanLessC}
              onChange={(less) => less !== undefined && less >= 0 && less <= 40 && set({ fanLessC: Math.round(less) })}
              quiet
            />
          </Row>
          <Row name="Prices in">
            <TextField
              select
              value={display.currency}
              onChange={(e) => set({ currency: e.target.value })}
              slotProps={{ htmlInput: { "aria-label": "Prices in" } }}
              sx={{ width: 100 }}
            >
              {CURRENCIES.map((currency) => (
                <MenuItem key={currency} value={currency}>
                  {currency}
                </MenuItem>
              ))}
            </TextField>
          </Row>
          <Choice
            name="Tables are separated by"
            value={display.separator}
            of={[
              [",", "comma"],
              [";", "semicolon"],
            ]}
            onPick={(separator) => set({ separator })}
          />
          <Row name="Hob dial">
            <NumberField
              label="Highest"
              value={display.hob.most}
              onChange={(most) =>
                most !== undefined && most >= 2 && most <= 20 && set({ hob: { ...display.hob, most: Math.round(most) } })
              }
            />
            <NumberField
              label="Medium is"
              value={display.hob.medium}
              onChange={(medium) =>
                medium !== undefined &&
                medium >= 1 &&
                medium < display.hob.most &&
                set({ hob: { ...display.hob, medium: Math.round(medium) } })
              }
            />
          </Row>
          <Typography variant="caption">Kept in this browser. Recipes are stored in grams and °C whatever is shown.</Typography>
        </Box>
      </Popover>
    </>
  );
}

const Row = ({ name, children }: { name: string; children: ReactNode }) => (
  <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
    <Typography variant="body2" sx={{ flex: 1 }}>
      {name}
    </Typography>
    {children}
  </Box>
);

function Choice<T extends string>({
  name,
  value,
  of,
  onPick,
}: {
  name: string;
  value: T;
  of: readonly (readonly [T, string])[];
  onPick: (value: T) => void;
}) {
  return (
    <Row name={name}>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={value}
        onChange={(_, next: T | null) => next && onPick(next)}
        aria-label={name}
      >
        {of.map(([id, text]) => (
          <ToggleButton key={id} value={id} sx={{ textTransform: "none", minHeight: 34 }}>
            {text}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Row>
  );
}
