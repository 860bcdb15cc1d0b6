import { z } from "zod";

/** The revision that whoever saves began from. */
export const Revision = z.int().min(1);
