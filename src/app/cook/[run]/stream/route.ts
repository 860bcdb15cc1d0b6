import { database } from "@/db/database";
import { runRepository } from "@/db/runs";

/** So often what came in is looked for: a look is one read of an index. */
const LOOK_MS = 250;
/** Something is said so often, that neither end takes the line to be dead. */
const ALIVE_MS = 15_000;

/**
 * What comes in, to the other devices of a run as it comes (server-sent events): each message is the place in the order and an event.
 * A line that broke goes on after the last one that it told.
 */
export async function GET(request: Request, { params }: { params: Promise<{ run: string }> }): Promise<Response> {
  const { run } = await params;
  if (!runRepository(database()).find(run)) return Response.json({ issue: `There is no run ${run}` }, { status: 404 });
  const from = request.headers.get("last-event-id") ?? new URL(request.url).searchParams.get("after");
  let last = Number(from);
  if (!Number.isSafeInteger(last) || last < 0)
    return Response.json({ issue: `after is ${JSON.stringify(from)}; expected a place in the order of events` }, { status: 400 });
  const encode = new TextEncoder();
  let end: () => void = () => undefined;
  const body = new ReadableStream<Uint8Array>({
    start(line) {
      const say = (text: string) => line.enqueue(encode.encode(text));
      const look = () => {
        try {
          for (const { sequence, event } of runRepository(database()).after(run, last)) {
            say(`id: ${sequence}\ndata: ${JSON.stringify({ sequence, event })}\n\n`);
            last = sequence;
          }
        } catch {
          // The file is locked or away for a moment: it is looked at again.
        }
      };
      say(": here\n\n");
      look();
      const timers = [setInterval(look, LOOK_MS), setInterval(() => say(": still here\n\n"), ALIVE_MS)];
      end = () => timers.forEach(clearInterval);
      request.signal.addEventListener("abort", () => {
        end();
        try {
          line.close();
        } catch {
          // It is closed already.
        }
      });
    },
    cancel: () => end(),
  });
  return new Response(body, {
    headers: {
      "Content-Type": "text/event-stream; charset=utf-8",
      "Cache-Control": "no-store, no-transform",
      "X-Accel-Buffering": "no",
    },
  });
}
