import { request as ask, type IncomingMessage, type OutgoingHttpHeaders, type Server } from "node:http";
import { connect, type AddressInfo } from "node:net";
import { openDatabase } from "@/db/database";
import { deviceStore } from "@/db/devices";
import { Devices } from "./devices";
import { hostNames, MOST_BODY, nameOfHost, refusal } from "./door";
import { BASE_HEADERS } from "./headers";
import { Rate } from "./rate";
import { hostServer, type HostOptions } from "./server";

let server: Server | undefined;
afterEach(() => server?.closeAllConnections());
afterEach(() => server?.close());

let clock = 0;
const store = openDatabase(":memory:");
const devices = new Devices(
  deviceStore(() => store),
  () => clock,
);
const told: string[] = [];

interface Answer {
  readonly status: number;
  readonly headers: IncomingMessage["headers"];
  readonly text: string;
}

/** Starts a server before an application that says what came through to it. */
async function serving(options: Partial<HostOptions> = {}): Promise<(path: string, how?: Ask) => Promise<Answer>> {
  server = hostServer({
    names: hostNames("127.0.0.1", []),
    isHere: () => true,
    devices,
    tell: (line) => told.push(line),
    handle: async (request, response) => {
      response.end(`through ${request.headers["x-forwarded-host"] ?? "as asked"}`);
    },
    ...options,
  });
  await new Promise<void>((listening) => server!.listen(0, "127.0.0.1", listening));
  const { port } = server.address() as AddressInfo;
  return (path, { method = "GET", headers = {}, body } = {}) =>
    new Promise((resolve, reject) => {
      const host = `127.0.0.1:${port}`;
      const own = method === "POST" ? { origin: `http://${host}`, "content-length": Buffer.byteLength(body ?? "") } : {};
      const sent = ask({ port, path, method, headers: { host, ...own, ...headers } }, (response) => {
        let text = "";
        response.on("data", (part) => (text += part));
        response.on("end", () => resolve({ status: response.statusCode!, headers: response.headers, text }));
      });
      sent.on("error", reject);
      sent.end(body);
    });
}
interface Ask {
  readonly method?: string;
  readonly headers?: OutgoingHttpHeaders;
  readonly body?: string;
}

test.each<[string, string, Ask, number, RegExp]>([
  ["a name that only resolves here", "/", { headers: { host: "kitchen.example" } }, 421, /expected localhost, 127\.0\.0\.1/],
  ["a name in a user's place", "/", { headers: { host: "localhost@kitchen.example" } }, 421, /does not answer/],
  ["a damaged address", "/g/%zz", {}, 400, /address is damaged/],
  ["an address without end", `/${"x".repeat(3000)}`, {}, 414, /too long/],
  ["a method that mirrors", "/", { method: "TRACE" }, 405, /expected GET, HEAD, POST/],
  ["a method that is not used", "/", { method: "DELETE" }, 405, /expected GET, HEAD, POST/],
  [
    "a form of another page",
    "/",
    { method: "POST", headers: { origin: "http://kitchen.example" } },
    403,
    /only pages of this server/i,
  ],
  [
    "a page of another port",
    "/",
    { method: "POST", headers: { origin: "http://127.0.0.1:1" } },
    403,
    /only pages of this server/i,
  ],
  ["an origin that is hidden", "/", { method: "POST", headers: { origin: "null" } }, 403, /only pages of this server/i],
  ["a body without end", "/", { method: "POST", headers: { "content-length": String(MOST_BODY + 1) } }, 413, /too large/],
  [
    "a script of another page",
    "/",
    { headers: { "sec-fetch-site": "cross-site", "sec-fetch-mode": "no-cors" } },
    403,
    /not read from it/,
  ],
  [
    "a frame of another page",
    "/",
    { headers: { "sec-fetch-site": "cross-site", "sec-fetch-mode": "navigate", "sec-fetch-dest": "iframe" } },
    403,
    /not read/,
  ],
])("%s is refused before it is read, with every header", async (_, path, how, status, sentence) => {
  const get = await serving({ handle: () => Promise.reject(new Error("never asked")) });
  const answer = await get(path, how);
  expect(answer.status).toBe(status);
  expect(answer.text).toMatch(sentence);
  for (const [name, value] of Object.entries(BASE_HEADERS)) expect(answer.headers[name.toLowerCase()]).toBe(value);
});

test("a body that comes in pieces of no said length is refused", () => {
  const headers = { host: "localhost", origin: "http://localhost", "transfer-encoding": "chunked" };
  expect(refusal({ method: "POST", url: "/", headers }, ["localhost"])?.status).toBe(411);
});

test("a request without a name is refused", () =>
  expect(refusal({ method: "GET", url: "/", headers: {} }, ["localhost"])?.status).toBe(421));

test.each([
  ["localhost:3000", "localhost"],
  ["[::1]:3000", "[::1]"],
  ["LOCALHOST", "localhost"],
  ["a b", undefined],
  ["x/y", undefined],
])("the name in %s is %s", (host, name) => expect(nameOfHost(host)).toBe(name));

test("names: those of this machine, and what is asked for", () => {
  expect(hostNames("192.168.1.5", [])).toEqual(["localhost", "127.0.0.1", "[::1]", "192.168.1.5"]);
  expect(hostNames("0.0.0.0", ["192.168.1.5", "fe80::1"])).toContain("[fe80::1]");
});

test("a page of our own goes through, under no other name than its own", async () => {
  const get = await serving();
  expect(await get("/", { headers: { "x-forwarded-host": "kitchen.example" } })).toMatchObject({
    status: 200,
    text: "through as asked",
  });
  expect(await get("/", { method: "POST", body: "[]" })).toMatchObject({ status: 200 });
});

test("a fault in one answer is one sentence with every header, and the next is answered", async () => {
  let first = true;
  const get = await serving({
    handle: async (_, response) => {
      if (first) {
        first = false;
        throw new Error("broken\ninside");
      }
      response.end("well");
    },
  });
  const answer = await get("/");
  expect(answer).toMatchObject({ status: 500, text: "This page could not be made; the fault is ours.\n" });
  expect(answer.headers["x-content-type-options"]).toBe("nosniff");
  expect((await get("/")).text).toBe("well");
});

test("more than a burst is asked to wait, and let in again after that", async () => {
  let now = 0;
  const get = await serving({ writes: { burst: 3, perSecond: 1 }, now: () => now });
  const write = () => get("/", { method: "POST", body: "[]" });
  const statuses = [await write(), await write(), await write(), await write()].map((answer) => answer.status);
  expect(statuses).toEqual([200, 200, 200, 429]);
  expect((await get("/")).status).toBe(200);
  now = 1000;
  expect((await write()).status).toBe(200);
});

test("of many addresses only so many are remembered", () => {
  const rate = new Rate({ burst: 1, perSecond: 1 }, () => 0);
  for (let i = 0; i < 5000; i++) rate.wait(`10.0.${i >> 8}.${i & 255}`);
  expect(Object.values(rate).find((value): value is Map<string, unknown> => value instanceof Map)!.size).toBe(1000);
});

test("lines are limited, and what is no request is answered with every header", async () => {
  await serving();
  expect(server!.maxConnections).toBe(256);
  expect([server!.headersTimeout, server!.requestTimeout]).toEqual([10_000, 60_000]);
  const { port } = server!.address() as AddressInfo;
  const text = await new Promise<string>((resolve) => {
    const socket = connect(port, "127.0.0.1", () => socket.write("GET / HTTP/9.9\r\n\u0000\r\n\r\n"));
    let all = "";
    socket.on("data", (part) => (all += part));
    socket.on("close", () => resolve(all));
  });
  expect(text).toMatch(/^HTTP\/1\.1 400 /);
  expect(text).toContain("X-Content-Type-Options: nosniff");
});

describe("another device", () => {
  const from = (options: Partial<HostOptions> = {}) => serving({ isHere: () => false, ...options });
  const typed = (code: string) => ({
    method: "POST",
    headers: { "content-type": "application/x-www-form-urlencoded" },
    body: new URLSearchParams({ code, name: "<b>Tablet</b>" }).toString(),
  });
  afterEach(() => devices.list().forEach(({ id }) => devices.revoke(id)));

  test("is shut out until a code is asked for, whatever it sends", async () => {
    const get = await from();
    for (const path of ["/", "/g/first-try", "/devices", "/pair"]) expect((await get(path)).status).toBe(403);
    expect((await get("/pair", typed("00000000"))).status).toBe(403);
  });
  test("is let in by the code, once, and shut out again", async () => {
    const get = await from();
    const { code } = devices.open();
    expect((await get("/")).text).toContain("Code, as the first device shows it");
    const answer = await get("/pair", typed(`${code.slice(0, 4)} ${code.slice(4)}`));
    expect(answer.status).toBe(303);
    const [cookie] = answer.headers["set-cookie"]!;
    expect(cookie).toMatch(/HttpOnly; SameSite=Strict/);
    const headers = { cookie: cookie.split(";")[0] };
    expect((await get("/", { headers })).text).toBe("through as asked");
    expect((await get("/devices", { headers })).status).toBe(403);
    expect((await get("/devices/x", { headers })).status).toBe(403);
    // The code is used up, and another secret is none.
    expect((await get("/pair", typed(code))).status).toBe(403);
    expect((await get("/", { headers: { cookie: "unisynth-device=guess" } })).status).toBe(401);
    devices.revoke(devices.list()[0].id);
    expect((await get("/", { headers })).status).toBe(403);
  });
  test("has five tries and ten minutes", async () => {
    const get = await from();
    const { code } = devices.open();
    const wrong = code === "00000000" ? "00000001" : "00000000";
    for (let i = 0; i < 5; i++) expect((await get("/pair", typed(wrong))).status).toBe(403);
    expect((await get("/pair", typed(code))).status).toBe(403);
    expect(devices.list()).toEqual([]);
    const later = devices.open().code;
    clock += 11 * 60_000;
    expect((await get("/pair", typed(later))).status).toBe(403);
    expect(devices.list()).toEqual([]);
  });
});
