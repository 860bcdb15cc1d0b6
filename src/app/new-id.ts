import "server-only";
import { randomUUID } from "node:crypto";
import { slugOf } from "@/core/shared/fresh-id";

/** Letters that no other server gives to something new of the same name. */
const OWN_LETTERS = 8;

/** An id from a name that no server makes a second time. */
export const newId = (name: string): string => `${slugOf(name)}-${randomUUID().slice(0, OWN_LETTERS)}`;
