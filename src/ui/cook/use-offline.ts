"use client";
import { useEffect, useState } from "react";

/** Where the page's own worker lies, and what it looks after. */
const WORKER = "/cook-worker.js";
const SCOPE = "/cook/";

/** Has the browser keep this page and all it needs, so that it opens without a network. @returns whether it does */
export function useOffline(): boolean {
  const [isKept, setKept] = useState(false);
  useEffect(() => {
    // Only an encrypted page, or one of this machine, may be kept.
    if (!("serviceWorker" in navigator)) return;
    let isOver = false;
    const heard = ({ data }: MessageEvent) => {
      if (!isOver && data === "kept") setKept(true);
    };
    navigator.serviceWorker.addEventListener("message", heard);
    navigator.serviceWorker
      .register(WORKER, { scope: SCOPE })
      .then(activeIn)
      .then((worker) => worker.postMessage({ keep: location.pathname }))
      .catch(() => undefined);
    return () => {
      isOver = true;
      navigator.serviceWorker.removeEventListener("message", heard);
    };
  }, []);
  return isKept;
}

/** The worker of a registration once it is at work: a page that was come to from elsewhere is not told by `ready`. */
function activeIn({ active, waiting, installing }: ServiceWorkerRegistration): Promise<ServiceWorker> {
  if (active) return Promise.resolve(active);
  const coming = waiting ?? installing!;
  return new Promise((found) =>
    coming.addEventListener("statechange", () => {
      if (coming.state === "activated") found(coming);
    }),
  );
}
