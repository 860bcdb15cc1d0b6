import { createServer, type IncomingMessage, type Server, type ServerResponse } from "node:http";
import { refusal, type Refused } from "./door";
import { BASE_HEADERS } from "./headers";
import { letterbox, type Devices } from "./letterbox";
import { Rate, type Pace } from "./rate";

/** What a page with all it loads asks for at once, many times over; and what one who types saves. */
const READS: Pace = { burst: 2000, perSecond: 500 };
const WRITES: Pace = { burst: 300, perSecond: 30 };
/** Lines that are open at once; one that says nothing is shut after so many ms. */
const MOST_LINES = 256;
const SILENCE_MS = { headers: 10_000, request: 60_000, idle: 20_000 } as const;
const MOST_HEADER_BYTES = 16_384;
/** Headers by which somebody in between could give a request another name or address. */
const NOT_BELIEVED = ["x-forwarded-host", "x-forwarded-for", "x-forwarded-proto", "forwarded", "x-middleware-subrequest"];

export interface HostOptions {
  /** The names this server answers to. */
  readonly names: readonly string[];
  /** Whether an address is this very machine. */
  readonly isHere: (address: string) => boolean;
  readonly devices: Devices;
  readonly handle: (request: IncomingMessage, response: ServerResponse) => Promise<void>;
  readonly now?: () => number;
  readonly reads?: Pace;
  readonly writes?: Pace;
  readonly tell?: (line: string) => void;
}

/** The server in front of the application: nothing reaches it that the door does not let in, and no fault of it ends the process. */
export function hostServer({
  names,
  isHere,
  devices,
  handle,
  now = Date.now,
  tell = () => undefined,
  ...paces
}: HostOptions): Server {
  const reads = new Rate(paces.reads ?? READS, now);
  const writes = new Rate(paces.writes ?? WRITES, now);

  const turnedAway = (request: IncomingMessage): Refused | undefined => {
    const { method = "", url = "", headers } = request;
    const refused = refusal({ method, url, headers }, names);
    if (refused) return refused;
    const address = request.socket.remoteAddress ?? "";
    const wait = (method === "POST" ? writes : reads).wait(address);
    return wait > 0
      ? {
          status: 429,
          sentence: `Too many requests at once; expected a pause of ${wait} s.`,
          headers: { "Retry-After": String(wait) },
        }
      : undefined;
  };

  const server = createServer({ maxHeaderSize: MOST_HEADER_BYTES }, (request, response) => {
    for (const [name, value] of Object.entries(BASE_HEADERS)) response.setHeader(name, value);
    request.on("error", () => undefined);
    response.on("error", () => undefined);
    const refused = turnedAway(request);
    if (refused) return answer(request, response, refused);
    for (const name of NOT_BELIEVED) delete request.headers[name];
    const here = isHere(request.socket.remoteAddress ?? "");
    if (!here && letterbox(request, response, devices)) return;
    handle(request, response).catch((error: unknown) => {
      tell(`${request.method} ${JSON.stringify(request.url)}: ${error instanceof Error ? error.message : String(error)}`);
      answer(request, response, { status: 500, sentence: "This page could not be made; the fault is ours." });
    });
  });
  server.maxConnections = MOST_LINES;
  server.headersTimeout = SILENCE_MS.headers;
  server.requestTimeout = SILENCE_MS.request;
  server.keepAliveTimeout = SILENCE_MS.idle;
  server.on("clientError", (_error, socket) => {
    if (!socket.writable) return socket.destroy();
    const lines = Object.entries(BASE_HEADERS).map(([name, value]) => `${name}: ${value}\r\n`);
    socket.end(`HTTP/1.1 400 Bad Request\r\nConnection: close\r\nContent-Length: 0\r\n${lines.join("")}\r\n`);
  });
  return server;
}

/** One sentence as the whole answer. What of the body was not read is not waited for. */
function answer(request: IncomingMessage, response: ServerResponse, { status, sentence, headers = {} }: Refused): void {
  if (response.headersSent) {
    response.destroy();
    return;
  }
  response.writeHead(status, { ...headers, "Content-Type": "text/plain; charset=utf-8", Connection: "close" });
  response.end(request.method === "HEAD" ? undefined : `${sentence}\n`, () => request.socket.destroySoon());
}
