"use client";
import { useEffect } from "react";

/** Keeps the screen on while the page is seen, where the browser can. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let isOver = false;
    const hold = async () => {
      if (document.visibilityState !== "visible" || !("wakeLock" in navigator)) return;
      try {
        const held = await navigator.wakeLock.request("screen");
        if (isOver) await held.release();
        else lock = held;
      } catch {
        // A battery that is low, or a page that came unencrypted: the screen goes off as it always does.
      }
    };
    void hold();
    document.addEventListener("visibilitychange", hold);
    return () => {
      isOver = true;
      document.removeEventListener("visibilitychange", hold);
      void lock?.release();
    };
  }, []);
}
