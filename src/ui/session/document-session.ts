import { fail, type Issue, type Result } from "@/core/shared/issue";
import { merged, type Difference } from "@/core/shared/differences";
import { clashOf } from "./clash";
import { MOST_RETRY_MS, NO_ANSWER, RETRY_MS } from "./outbox";
import type { Channel, Store, Timers } from "./platform";

/** Typing pauses this long before anything is saved, ms. */
export const PAUSE_MS = 350;
/** Changes within so many ms are taken back as one, ms. */
const ONE_CHANGE_MS = 700;
/** How many changes can be taken back. */
const HISTORY = 30;

export type Saving = "saved" | "saving" | "not-saved" | "invalid" | "conflict";

export interface Revised<T> {
  readonly document: T;
  readonly revision: number;
}

/** What was saved elsewhere while this form was being changed, with every field in which the two differ. */
export interface Conflict<T> {
  readonly theirs: Revised<T>;
  readonly differences: readonly Difference[];
  /** Those that were changed here only: taken unless the cook chooses otherwise. */
  readonly mine: readonly Difference[];
}

export interface DocumentState<T> {
  readonly draft: T;
  readonly saving: Saving;
  /** Why it is not saved; undefined while nothing is wrong. */
  readonly issue: Issue | undefined;
  readonly conflict: Conflict<T> | undefined;
  readonly canUndo: boolean;
  /** Changes that no server has taken yet. */
  readonly changes: number;
}

export interface DocumentOptions<T> {
  /** Names the document among all that this browser keeps. */
  readonly key: string;
  readonly initial: Revised<T>;
  readonly isRight: (draft: T) => boolean;
  readonly save: (draft: T, from: number) => Promise<Result<{ readonly revision: number }>>;
  readonly timers: Timers;
  /** Where what can be taken back, and what is not saved yet, outlives a reload. */
  readonly store: Store;
  /** Where what is not saved yet outlives the tab as well. */
  readonly device?: Device<T>;
}

/** What a session says of what is not saved: kept on the device by whoever listens. */
export interface Device<T> {
  /** `hasFailed`: it was tried, and did not go through. */
  readonly hold: (unsaved: Unsaved<T>, changes: number, hasFailed: boolean) => void;
  readonly drop: () => void;
}

/** The question that a page begins with: does anybody know a newer revision than this? */
interface Asks {
  readonly asks?: number;
}

/** What of a document that is not saved outlives a reload. */
export interface Unsaved<T> {
  readonly draft: T;
  readonly base: Revised<T>;
}

/**
 * One document at work: what is typed, what of it is saved, what can be taken back. A plain object, bound to a view by
 * whoever shows it.
 *
 * Invariants: `base` is what is stored at `revision` as far as is known here; only one saving is under way; what is typed
 * while it is goes out with the next. A refused or failed saving never touches the draft.
 */
export class DocumentSession<T extends object> {
  /** The document as it came from the server: what a page shows until it has read what this tab keeps. */
  readonly pristine: DocumentState<T>;
  private base: Revised<T>;
  private past: readonly T[];
  /** What of it the store has: it is large, and a key changes it only now and then. */
  private keptPast: readonly T[];
  private changedAt = -Infinity;
  private now: DocumentState<T>;
  private timer: unknown;
  private retryMs = RETRY_MS;
  private sending = false;
  /** The last saving did not go through. */
  private hasFailed = false;
  /** What was heard from elsewhere while a saving was under way: it counts where the saving does not go through. */
  private heardMeanwhile: Revised<T> | undefined;
  /** To the same document in other tabs, while the view is there and until its last saving is answered. */
  private channel: Channel | undefined;
  private leaving = false;
  private readonly listeners = new Set<() => void>();

  constructor(private readonly options: DocumentOptions<T>) {
    const { document } = options.initial;
    this.pristine = { draft: document, saving: "saved", issue: undefined, conflict: undefined, canUndo: false, changes: 0 };
    const past = this.kept("past");
    const unsaved = this.kept("unsaved") as Unsaved<T> | undefined;
    this.base = unsaved?.base ?? options.initial;
    this.past = this.keptPast = Array.isArray(past) ? (past as T[]) : [];
    const draft = unsaved?.draft ?? document;
    this.now = { ...this.pristine, draft, canUndo: this.past.length > 0, changes: unsaved ? 1 : 0 };
    if (unsaved && !this.isAsStored(draft)) this.now = { ...this.now, saving: options.isRight(draft) ? "saving" : "invalid" };
  }

  /** The view is there: what this tab had not saved before it was loaded anew goes out. Nothing is sent before. */
  readonly open = (): void => {
    if (this.now.saving === "saving" && this.timer === undefined && !this.sending) this.settle(0);
  };

  /**
   * Takes up what was left unsaved by a tab that was closed; beside what is typed here already where that is in other fields.
   * @returns false where the same field was changed here since
   */
  readonly takeUp = ({ draft, base }: Unsaved<T>, changes: number): boolean => {
    if (this.now.saving !== "saved") {
      const clash = clashOf(this.now.draft, this.base.document, draft);
      if ("merged" in clash) this.put(clash.merged);
      return "merged" in clash;
    }
    const theirs = this.base;
    // It may have gone through since, before the device was told: then there is nothing to take back.
    const clash = clashOf(draft, base.document, theirs.document);
    if ("merged" in clash && this.isAsStored(clash.merged)) return true;
    this.past = [...this.past.slice(1 - HISTORY), this.now.draft];
    this.base = base;
    this.tell({ changes });
    this.put(draft);
    this.heard(theirs);
    return true;
  };

  get state(): DocumentState<T> {
    return this.now;
  }

  /** Told of every change of the state. @returns how to stop listening */
  readonly subscribe = (tell: () => void): (() => void) => {
    this.listeners.add(tell);
    return () => this.listeners.delete(tell);
  };

  /** Changes the draft; it is saved when typing pauses. */
  readonly change = (edit: (draft: T) => T): void => {
    const draft = edit(this.now.draft);
    if (draft === this.now.draft) return;
    const at = this.options.timers.now();
    if (at - this.changedAt > ONE_CHANGE_MS) {
      this.past = [...this.past.slice(1 - HISTORY), this.now.draft];
      this.now = { ...this.now, changes: this.now.changes + 1 };
    }
    this.changedAt = at;
    this.put(draft);
  };

  /** Takes the last change back. */
  readonly undo = (): void => {
    const last = this.past.at(-1);
    if (last === undefined) return;
    this.past = this.past.slice(0, -1);
    this.changedAt = -Infinity;
    this.now = { ...this.now, changes: this.now.changes + 1 };
    this.put(last);
  };

  /** Tries at once to save what could not be saved. */
  readonly retry = (): void => {
    this.retryMs = RETRY_MS;
    this.settle(0);
  };

  /** Ends a conflict: their version with the chosen fields of mine, saved as the next revision. */
  readonly resolve = (chosen: readonly Difference[]): void => {
    const { conflict, draft } = this.now;
    if (!conflict) return;
    this.past = [...this.past.slice(1 - HISTORY), draft];
    this.base = conflict.theirs;
    this.tell({ conflict: undefined });
    this.put(merged(conflict.theirs.document, chosen));
  };

  /** Talks to the same document in other tabs from now on. @returns how to hang up; what is being sent is still told */
  readonly connect = (channel: Channel): (() => void) => {
    this.channel = channel;
    this.leaving = false;
    channel.listen((news) => {
      const { asks } = news as Asks;
      if (asks === undefined) this.heard(news as Revised<T>);
      else if (asks < this.base.revision) channel.tell(this.base);
    });
    // What was told before this page could listen is told again.
    channel.tell({ asks: this.base.revision } satisfies Asks);
    return () => {
      this.leaving = true;
      if (!this.sending) this.hangUp();
    };
  };

  private hangUp(): void {
    this.channel?.close();
    this.channel = undefined;
  }

  /** Whether anything would be lost if the page were left now. */
  get unsaved(): boolean {
    return this.now.saving !== "saved";
  }

  /** Sends what waits at once: the page is being left. */
  readonly flush = (): void => {
    if (this.timer !== undefined && this.now.saving === "saving") this.settle(0);
  };

  /** Another part of the application saved the document: it goes on from there, or its fields are chosen from. */
  readonly heard = (news: Revised<T>): void => {
    if (news.revision <= this.base.revision) return;
    if (this.isAsStored(this.now.draft)) {
      this.base = news;
      this.tell({ draft: news.document, saving: "saved", issue: undefined });
      this.keep();
    } else if (this.sending) this.heardMeanwhile = news;
    else this.clash(news);
  };

  private put(draft: T): void {
    this.tell({ draft, canUndo: this.past.length > 0 });
    this.settle(PAUSE_MS);
  }

  /** What comes of the draft as it stands: saved, to be saved after a while, or waiting for a field. */
  private settle(after: number): void {
    const { timers, isRight } = this.options;
    if (this.timer !== undefined) timers.clear(this.timer);
    this.timer = undefined;
    const { draft, conflict } = this.now;
    if (conflict) this.tell({ saving: "conflict" });
    else if (!isRight(draft)) this.tell({ saving: "invalid", issue: undefined });
    else if (this.isAsStored(draft)) this.tell({ saving: "saved", issue: undefined });
    else {
      if (after <= PAUSE_MS) this.tell({ saving: "saving", issue: undefined });
      if (after > 0) this.timer = timers.set(() => this.send(), after);
      else this.send();
    }
    this.keep();
  }

  private send(): void {
    this.timer = undefined;
    if (this.sending) return;
    const { draft, changes } = this.now;
    this.sending = true;
    this.options
      .save(draft, this.base.revision)
      .catch((): Result<{ revision: number }> => fail({ code: "failed", path: [], got: NO_ANSWER }))
      .then((answer) => {
        this.sending = false;
        this.answered(draft, answer, changes);
        if (this.leaving) this.hangUp();
      });
  }

  private answered(draft: T, answer: Result<{ readonly revision: number }>, changes: number): void {
    const news = this.heardMeanwhile;
    this.heardMeanwhile = undefined;
    if (answer.ok) {
      this.base = { document: draft, revision: answer.value.revision };
      this.retryMs = RETRY_MS;
      this.hasFailed = false;
      this.channel?.tell(this.base);
      this.now = { ...this.now, changes: Math.max(0, this.now.changes - changes) };
      this.settle(PAUSE_MS);
      return;
    }
    const [issue] = answer.issues;
    if (issue.code === "conflict" && issue.got) return this.clash(issue.got as Revised<T>);
    this.hasFailed = true;
    this.tell({ saving: "not-saved", issue });
    this.keep();
    if (news && news.revision > this.base.revision) return this.clash(news);
    // What the server does not take will not be taken a second time; what failed may go through later.
    // From a view that was left nobody tries again: the device has it.
    if (issue.code !== "failed" || (this.leaving && this.options.device)) return;
    this.timer = this.options.timers.set(() => this.settle(0), this.retryMs);
    this.retryMs = Math.min(MOST_RETRY_MS, 2 * this.retryMs);
  }

  /** Two forms of one document: where they changed different fields nothing needs to be asked. */
  private clash(theirs: Revised<T>): void {
    const clash = clashOf(this.now.draft, this.base.document, theirs.document);
    if ("merged" in clash) {
      this.base = theirs;
      this.tell({ conflict: undefined });
      this.put(clash.merged);
      return;
    }
    this.tell({ saving: "conflict", issue: undefined, conflict: { theirs, ...clash } });
    this.keep();
  }

  private isAsStored(draft: T): boolean {
    return draft === this.base.document || JSON.stringify(draft) === JSON.stringify(this.base.document);
  }

  private tell(change: Partial<DocumentState<T>>): void {
    this.now = { ...this.now, ...change };
    this.listeners.forEach((tell) => tell());
  }

  private keep(): void {
    const { draft, saving } = this.now;
    const unsaved: Unsaved<T> | undefined = saving === "saved" ? undefined : { draft, base: this.base };
    this.options.store.put(`${this.options.key}-unsaved`, JSON.stringify(unsaved ?? null));
    if (unsaved) this.options.device?.hold(unsaved, Math.max(1, this.now.changes), this.hasFailed);
    else {
      this.now = { ...this.now, changes: 0 };
      this.options.device?.drop();
    }
    if (this.keptPast === this.past) return;
    this.keptPast = this.past;
    this.options.store.put(`${this.options.key}-past`, JSON.stringify(this.past));
  }

  private kept(part: "past" | "unsaved"): unknown {
    try {
      return JSON.parse(this.options.store.get(`${this.options.key}-${part}`) ?? "null") ?? undefined;
    } catch {
      return undefined;
    }
  }
}
