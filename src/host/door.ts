/**
 * Who is let in before anything of a request is read: names that this server answers to, pages of our own, methods and sizes
 * that the application has a use for. Pure; `cli/serve.ts` asks it for every request, `src/proxy.ts` where Next runs alone.
 */

/** Of a request, what the door looks at. Header names in lower case. */
export interface Asked {
  readonly method: string;
  readonly url: string;
  readonly headers: Readonly<Record<string, string | readonly string[] | undefined>>;
}

/** A request that is not let in: a status and one sentence that says why. */
export interface Refused {
  readonly status: number;
  readonly sentence: string;
  readonly headers?: Readonly<Record<string, string>>;
}

/** Names under which this machine reaches itself. */
const OWN_NAMES = ["localhost", "127.0.0.1", "[::1]"];
const METHODS = ["GET", "HEAD", "POST"];
const LONGEST_ADDRESS = 2000;
/** The largest body, bytes: documents are far smaller, and plans come in pieces. */
export const MOST_BODY = 2_000_000;

const one = (value: string | readonly string[] | undefined): string | undefined =>
  typeof value === "string" ? value : value?.[0];

/** Host name of a `Host` header, an IPv6 address in brackets; undefined where it is none. */
export function nameOfHost(host: string | undefined): string | undefined {
  if (host === undefined || !/^[\w.:[\]-]{1,255}$/.test(host)) return undefined;
  try {
    return new URL(`http://${host}`).hostname;
  } catch {
    return undefined;
  }
}

/** The names a server answers to: its own, what `--host` names, and for a wildcard the addresses of the machine. */
export function hostNames(host: string, addresses: readonly string[]): string[] {
  const bracketed = (name: string) => (name.includes(":") && !name.startsWith("[") ? `[${name}]` : name);
  const everywhere = ["0.0.0.0", "::", "[::]"].includes(host);
  return [...new Set([...OWN_NAMES, ...(everywhere ? addresses : [host]).map(bracketed)])];
}

/** Whether an `Origin` is the very host that was asked. */
function isOwn(origin: string, host: string): boolean {
  try {
    const { protocol, host: from } = new URL(origin);
    return (protocol === "http:" || protocol === "https:") && from === new URL(`http://${host}`).host;
  } catch {
    return false;
  }
}

function isReadable(url: string): boolean {
  try {
    decodeURI(url);
    return url.startsWith("/");
  } catch {
    return false;
  }
}

/** Why a request is not let in; undefined where it is. */
export function refusal({ method, url, headers }: Asked, names: readonly string[]): Refused | undefined {
  const host = one(headers.host);
  const name = nameOfHost(host);
  if (name === undefined || !names.includes(name))
    return { status: 421, sentence: `This server does not answer to that name; expected ${names.join(", ")}.` };
  if (!METHODS.includes(method))
    return {
      status: 405,
      sentence: `The method is not known; expected ${METHODS.join(", ")}.`,
      headers: { Allow: METHODS.join(", ") },
    };
  if (url.length > LONGEST_ADDRESS)
    return { status: 414, sentence: `The address is too long; expected at most ${LONGEST_ADDRESS} characters.` };
  if (!isReadable(url)) return { status: 400, sentence: "The address is damaged; expected a path with whole %-codes." };
  const site = one(headers["sec-fetch-site"]);
  const foreign = site === "cross-site" || site === "same-site";
  if (method === "POST") {
    const origin = one(headers.origin);
    if (origin === undefined || !isOwn(origin, host!) || foreign)
      return { status: 403, sentence: "Only pages of this server may change anything; this came from elsewhere." };
    const length = one(headers["content-length"]);
    if (length === undefined || headers["transfer-encoding"] !== undefined)
      return { status: 411, sentence: "The body does not say its length; expected a Content-Length." };
    if (!(Number(length) <= MOST_BODY))
      return { status: 413, sentence: `The body is too large; expected at most ${MOST_BODY} bytes.` };
  } else if (foreign && (one(headers["sec-fetch-mode"]) !== "navigate" || one(headers["sec-fetch-dest"]) !== "document"))
    return { status: 403, sentence: "Another page may link to this server, and not read from it." };
  return undefined;
}
