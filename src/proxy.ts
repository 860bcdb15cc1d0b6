import { NextResponse, type NextRequest } from "next/server";
import { hostNames, refusal } from "@/host/door";
import { BASE_HEADERS, pagePolicy } from "@/host/headers";

/** Where Next runs without our server before it, the same door is kept here. */
const NAMES = process.env.UNISYNTH_HOSTS?.split(",") ?? hostNames("localhost", []);

/** Lets in what the door lets in, and gives every page a policy with a nonce of its own. */
export function proxy(request: NextRequest): NextResponse {
  const { method, nextUrl, headers: asked } = request;
  const refused = refusal({ method, url: nextUrl.pathname + nextUrl.search, headers: Object.fromEntries(asked) }, NAMES);
  if (refused)
    return new NextResponse(refused.sentence, { status: refused.status, headers: { ...BASE_HEADERS, ...refused.headers } });
  const nonce = btoa(crypto.randomUUID());
  const policy = pagePolicy(nonce, process.env.NODE_ENV === "development");
  const headers = new Headers(asked);
  headers.set("x-nonce", nonce);
  headers.set("Content-Security-Policy", policy);
  const response = NextResponse.next({ request: { headers } });
  for (const [name, value] of Object.entries(BASE_HEADERS)) response.headers.set(name, value);
  response.headers.set("Content-Security-Policy", policy);
  return response;
}

export const config = { matcher: [{ source: "/((?!_next/static|_next/image|icon.svg).*)" }] };
