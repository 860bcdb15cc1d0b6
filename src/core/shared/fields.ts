import { z } from "zod";
import { minutesOfClock } from "./clock";

/** An id: not empty, 80 characters at most. */
export const id = z.string().min(1).max(80);

/** A time of day, hh:mm, up to 24:00. */
export const clock = z.string().refine((t) => minutesOfClock(t) !== undefined, { error: "a time of day, hh:mm" });

export const day = z.int().min(-30).max(30);

export const mm = z.tuple([z.number().gt(0), z.number().gt(0)]);

export const stock = z.int().min(0).max(500);
