"use client";
import { createContext, useContext } from "react";
import type { Catalogue } from "@/core/ingredients/own";
import type { Item } from "@/core/item/schema";
import type { Plan } from "@/core/plan/schema";
import type { KitchenDevices } from "@/core/run/practice/kitchen-devices";
import type { RunState } from "@/core/run/run-state";
import type { PlanShown } from "../plan/use-plan-display";

/** The day that is cooked, as every card of its screen knows it. */
export interface CookedDay {
  readonly plan: Plan;
  readonly state: RunState;
  readonly minute: number;
  readonly gathering: string;
  /** Items as the plan was made with them. */
  readonly made: Readonly<Record<string, Item>>;
  /** What was known of ingredients when it was planned, the cook's own among them. */
  readonly catalogue: Catalogue;
  readonly shown: PlanShown;
  /** Instruments that are connected. */
  readonly devices: KitchenDevices | undefined;
}

const Context = createContext<CookedDay | undefined>(undefined);

export const CookedDayProvider = Context.Provider;

export function useCookedDay(): CookedDay {
  const day = useContext(Context);
  if (!day) throw new Error("no day is cooked here");
  return day;
}
