"use client";
import { useEffect, useState } from "react";

/** The click of a tap comes a little after its release, ms. */
const CLICK_MS = 80;
/** A press counts for no longer: the list that a select opens, or a menu of the system, may keep its release to itself, ms. */
const PRESS_MS = 1000;

/** What is pressed on a page, and what waits until it is let go. What moves away between a press and its release gets no click. */
class Press {
  private changes: (() => void)[] = [];
  private letGo: Promise<void> | undefined;
  private ended: () => void = () => undefined;
  private soon: ReturnType<typeof setTimeout> | undefined;

  /** Makes a change of the screen that nobody asked for: at once, or when what is pressed has been let go. */
  readonly whenReleased = (change: () => void): void => {
    if (this.letGo) this.changes.push(change);
    else change();
  };

  /** Comes true when what is pressed is let go; undefined where nothing is. The same promise all through a press. */
  readonly released = (): Promise<void> | undefined => this.letGo;

  /** @returns how to stop listening */
  listen(): () => void {
    const press = () => {
      this.letGo ??= new Promise((resolve) => (this.ended = resolve));
      this.endIn(PRESS_MS);
    };
    const release = () => this.endIn(CLICK_MS);
    const releases = ["pointerup", "pointercancel"];
    // Whoever listens for the click is told of it before.
    const clicked = () => this.letGo && this.endIn(0);
    window.addEventListener("pointerdown", press, true);
    for (const event of releases) window.addEventListener(event, release, true);
    window.addEventListener("click", clicked, true);
    return () => {
      this.end();
      window.removeEventListener("pointerdown", press, true);
      for (const event of releases) window.removeEventListener(event, release, true);
      window.removeEventListener("click", clicked, true);
    };
  }

  private endIn(ms: number): void {
    clearTimeout(this.soon);
    this.soon = setTimeout(() => this.end(), ms);
  }

  private end(): void {
    clearTimeout(this.soon);
    const { changes } = this;
    this.changes = [];
    this.letGo = undefined;
    this.ended();
    changes.forEach((change) => change());
  }
}

/** The press on this page; one object for as long as whoever uses it is there. */
export function useReleased(): Pick<Press, "whenReleased" | "released"> {
  const [press] = useState(() => new Press());
  useEffect(() => press.listen(), [press]);
  return press;
}
