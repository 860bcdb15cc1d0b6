import { z } from "zod";
import { minutesOfClock } from "./clock";

/** An id: not empty, 80 characters at most. */
export const id = z.string().min(1).max(80);

/** A time of day, hh:mm, up to 24:00. */
export const clock = z.string().refine((t) => minutesOfClock(t) !== undefined, { error: "a time of day, hh:mm" });

export const day = z.int().min(-30).max(30);

/** A length in a kitchen, mm. */
export const length = z.number().min(5).max(3000);

/** Length and width, mm. */
export const mm = z.tuple([length, length]);

/** Words that are shown as they are. */
export const line = z.string().max(600);

/** Degrees a minute by which something warms or cools. */
export const rate = z.number().min(0.01).max(200);

export const stock = z.int().min(0).max(500);
