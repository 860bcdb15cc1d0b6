// Keeps the day's screen for when there is no network: the page as it was last, and every script, style and font of this build.
const KEPT = "unisynth-cook-1";
const LIST = "/cook-files.json";

/** All files of the build are kept once; those of an older build go. */
async function keepFiles() {
  const cache = await caches.open(KEPT);
  const { files } = await (await fetch(LIST, { cache: "no-store" })).json();
  const there = new Set((await cache.keys()).map(({ url }) => new URL(url).pathname));
  await Promise.all(files.filter((file) => !there.has(file)).map((file) => cache.add(file)));
  const wanted = new Set(files);
  for (const request of await cache.keys()) {
    const { pathname } = new URL(request.url);
    if (pathname.startsWith("/_next/") && !wanted.has(pathname)) await cache.delete(request);
  }
}

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

self.addEventListener("message", (event) => {
  const { keep } = event.data ?? {};
  if (typeof keep !== "string" || !keep.startsWith("/cook/")) return;
  event.waitUntil(
    (async () => {
      await keepFiles();
      const cache = await caches.open(KEPT);
      await cache.put(keep, await fetch(keep, { credentials: "same-origin" }));
      event.source.postMessage("kept");
    })().catch(() => undefined),
  );
});

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const { pathname, origin } = new URL(request.url);
  if (request.method !== "GET" || origin !== location.origin) return;
  if (pathname.startsWith("/_next/static/")) {
    // Named by what is in them: what is kept is right.
    event.respondWith(caches.match(pathname).then((kept) => kept ?? fetch(request)));
  } else if (request.mode === "navigate" && pathname.startsWith("/cook/")) {
    event.respondWith(
      fetch(request)
        .then((answer) => {
          if (answer.ok) {
            const copy = answer.clone();
            event.waitUntil(caches.open(KEPT).then((cache) => cache.put(pathname, copy)));
          }
          return answer;
        })
        .catch(async (error) => {
          const kept = await caches.match(pathname);
          if (kept) return kept;
          throw error;
        }),
    );
  }
});
