import type { IncomingMessage, ServerResponse } from "node:http";
import type { Devices } from "./devices";

export type { Devices };

/** Where another device brings its code, and the page that only this machine may see. */
export const PAIR_PATH = "/pair";
export const DEVICES_PATH = "/devices";
const COOKIE = "unisynth-device";
/** More than a code and a name, bytes. */
const MOST_FORM = 500;
const YEAR_S = 365 * 24 * 3600;

/** Answers a request from another device unless it was let in before. @returns whether it is answered */
export function letterbox(request: IncomingMessage, response: ServerResponse, devices: Devices): boolean {
  const path = (request.url ?? "").split("?", 1)[0];
  if (devices.knows(secretOf(request))) {
    if (!isBelow(path, DEVICES_PATH)) return false;
    page(response, 403, "Devices are let in and shut out on the first device only.");
  } else if (!devices.isOn) page(response, 403, "Other devices are shut out. Whoever runs Unisynth lets one in under Devices.");
  else if (request.method === "POST" && path === PAIR_PATH) read(request, response, devices);
  else page(response, 401, "This device is not let in yet.", true);
  return true;
}

const isBelow = (path: string, folder: string): boolean => path === folder || path.startsWith(`${folder}/`);

function secretOf({ headers: { cookie = "" } }: IncomingMessage): string | undefined {
  return cookie
    .split(/;\s*/)
    .find((part) => part.startsWith(`${COOKIE}=`))
    ?.slice(COOKIE.length + 1);
}

function read(request: IncomingMessage, response: ServerResponse, devices: Devices): void {
  if (Number(request.headers["content-length"]) > MOST_FORM) return page(response, 413, "That is more than a code.", true);
  let text = "";
  request.setEncoding("utf8");
  request.on("data", (part: string) => (text += part));
  request.on("end", () => {
    const form = new URLSearchParams(text);
    const secret = devices.pair(form.get("code") ?? "", form.get("name")?.trim() || "a device");
    if (!secret) return page(response, 403, "That code is not good, or no longer.", true);
    response.writeHead(303, {
      Location: "/",
      "Set-Cookie": `${COOKIE}=${secret}; HttpOnly; SameSite=Strict; Path=/; Max-Age=${YEAR_S}`,
    });
    response.end();
  });
}

/** A page of one sentence, and where wanted the form for the code. Nothing of the request is in it. */
function page(response: ServerResponse, status: number, sentence: string, form = false): void {
  const asks = form
    ? `<form method="post" action="${PAIR_PATH}"><p><label>Code, as the first device shows it <input name="code" inputmode="numeric" autocomplete="one-time-code" required></label></p><p><label>Name of this device <input name="name" maxlength="80"></label></p><button>Let in</button></form>`
    : "";
  response.writeHead(status, { "Content-Type": "text/html; charset=utf-8", "Cache-Control": "no-store" });
  response.end(
    `<!doctype html><html lang="en"><meta name="viewport" content="width=device-width"><title>Unisynth</title><body style="font: 20px/1.5 sans-serif; max-width: 30em; margin: 2em auto; padding: 0 1em"><h1>Unisynth</h1><p>${sentence}</p>${asks}</body></html>`,
  );
}
