import { fail, ok, type Issue, type Result } from "@/core/shared/issue";
import type { Timers } from "./platform";

/** What a server has still to take of one document (or one thing like it), as it lies on the device. */
export interface Letter {
  /** One for each document and tab. */
  readonly id: string;
  readonly document: string;
  readonly kind: string;
  readonly body: unknown;
  /** Changes that it stands for; 0 for what was worked out and not typed (a plan). */
  readonly changes: number;
  /** Of the last of them: ms since 1970. */
  readonly at: number;
  readonly tab: string;
}

/** Where letters outlive the page, the tab and the browser. */
export interface Letters {
  readonly put: (letter: Letter) => Promise<void>;
  readonly remove: (id: string) => Promise<void>;
  readonly all: () => Promise<readonly Letter[]>;
}

/** Sends one letter's body. A `failed` issue: it may go through later; any other: it will not, as it is. */
export type Sender = (body: unknown) => Promise<Result<unknown>>;

export interface OutboxState {
  /** Changes that were tried and are still waiting. */
  readonly waiting: number;
  /** Letters of what was worked out, tried and still waiting. */
  readonly workedOut: number;
  /** What a server would not take: the document and why. They stay on the device. */
  readonly refused: readonly { readonly document: string; readonly issue: Issue }[];
}

export interface OutboxOptions {
  /** Names this tab among all that keep letters on this device. */
  readonly tab: string;
  readonly letters: Letters;
  readonly senders: Readonly<Record<string, Sender>>;
  readonly timers: Timers;
  /** Whether the tab of a letter is still open: it looks after it itself then. */
  readonly isOpen: (tab: string) => Promise<boolean>;
  /** ms since 1970. */
  readonly today: () => number;
}

export const NOTHING_WAITS: OutboxState = { waiting: 0, workedOut: 0, refused: [] };

/** Why a saving failed to which nothing was answered: the line is cut, or the server is away. */
export const NO_ANSWER = "the server does not answer";
/** What failed is tried again after so long, and then after twice as long each time, up to the most, ms. */
export const RETRY_MS = 2000;
export const MOST_RETRY_MS = 8_000;
/** A view that was left may still hear that its last saving went through, ms. */
const AFTER_VIEW_MS = 3000;
/** A page that was opened when something was taken may be older than it, ms. */
const JUST_MS = 5000;
/** Letters of tabs that were closed are looked for this often, ms. */
const LOOK_MS = 20_000;

interface Lying {
  letter: Letter;
  /** Somebody waits for the first answer. */
  told?: (answer: Result<unknown>) => void;
  retryMs: number;
  timer?: unknown;
  sending: boolean;
  /** Ends with the sending that is under way. */
  flight?: Promise<void>;
  hasFailed: boolean;
  issue?: Issue;
  /** Of a tab that was closed: no view of this one knows of it. */
  readonly takenOver?: true;
}

/**
 * What waits for the server, document by document: kept on the device before it is sent, sent in order, tried again with a
 * growing pause, and taken over from tabs that were closed. A plain object; the provider binds it.
 *
 * Invariants: of one document at most one letter is under way, and only the newest of this tab waits; a letter leaves the device
 * only when a server took it or a newer one took its place.
 */
export class Outbox {
  private now: OutboxState = NOTHING_WAITS;
  private readonly lying = new Map<string, Lying>();
  /** Documents that a view of this tab sends by itself, and keeps here only. */
  private readonly claimed = new Set<string>();
  /** Left from before and taken since, by document, and when: what a page was given just then is older. */
  private readonly landed = new Map<string, { readonly letter: Letter; readonly at: number }>();
  private writing: Promise<unknown> = Promise.resolve();
  private looking: unknown;
  private taking: Promise<void> = Promise.resolve();
  private readonly listeners = new Set<() => void>();

  constructor(private readonly options: OutboxOptions) {}

  get state(): OutboxState {
    return this.now;
  }

  readonly subscribe = (tell: () => void): (() => void) => {
    this.listeners.add(tell);
    return () => this.listeners.delete(tell);
  };

  /** Begins to look after what other tabs left behind. @returns how to stop */
  readonly open = (): (() => void) => {
    const look = () => {
      this.takeOver();
      this.looking = this.options.timers.set(look, LOOK_MS);
    };
    look();
    return () => {
      this.options.timers.clear(this.looking);
    };
  };

  /** Sends something; the newest of a document counts. @returns its answer; `ok` as well where it waits on the device now */
  readonly post = (document: string, kind: string, body: unknown, changes = 1): Promise<Result<unknown>> =>
    new Promise((told) => {
      const there = this.lying.get(this.idOf(document));
      there?.told?.(ok(undefined));
      this.lay(document, kind, body, changes, told);
      void this.send(this.idOf(document));
    });

  /** A view sends this document by itself from now on. @returns what was left of it by a tab that was closed */
  readonly claim = async (document: string): Promise<Letter | undefined> => {
    this.claimed.add(document);
    const own = this.lying.get(this.idOf(document));
    if (own) this.options.timers.clear(own.timer);
    const taken = await this.takenOver(document);
    if (taken) return taken;
    const left = (await this.left()).filter((letter) => letter.document === document);
    const [newest] = left.sort((a, b) => b.at - a.at);
    if (!this.claimed.has(document)) return undefined;
    if (newest && newest.tab !== this.options.tab) await this.write(() => this.options.letters.remove(newest.id));
    return newest;
  };

  /** What was taken over of a document before its view was there, unless a server took it meanwhile: the view's now. */
  private async takenOver(document: string): Promise<Letter | undefined> {
    await this.taking;
    const id = this.idOf(document);
    await this.lying.get(id)?.flight;
    const there = this.lying.get(id);
    if (!there?.takenOver || !this.claimed.has(document)) return undefined;
    this.options.timers.clear(there.timer);
    this.lying.delete(id);
    this.tell();
    return there.letter;
  }

  /** The newest that waits on this device of something that is only posted; undefined where nothing does. */
  readonly waitsFor = async (document: string): Promise<Letter | undefined> =>
    (await this.newest((letter) => letter.document === document)).at(0);

  /** The newest of each document of a kind that the page may not have been given: it waits here, or was taken just now. */
  readonly waitsOf = (kind: string): Promise<Letter[]> => {
    const since = this.options.today() - JUST_MS;
    const taken = [...this.landed.values()].filter(({ at }) => at >= since).map(({ letter }) => letter);
    return this.newest((letter) => letter.kind === kind, taken);
  };

  private async newest(isIt: (letter: Letter) => boolean, more: readonly Letter[] = []): Promise<Letter[]> {
    const own = [...this.lying.values()].map(({ letter }) => letter);
    const left = await this.left();
    const all = [...own, ...left, ...more].filter(isIt).sort((a, b) => b.at - a.at);
    return all.filter(({ document }, k) => all.findIndex((other) => other.document === document) === k);
  }

  /** What a claimed document's view has not saved yet: kept on the device, and counted once saving failed. */
  readonly hold = (document: string, kind: string, body: unknown, changes: number, hasFailed: boolean): void => {
    const there = this.lay(document, kind, body, changes);
    if (!hasFailed && !there.hasFailed) return;
    there.hasFailed = hasFailed;
    this.tell();
  };

  /** A claimed document is saved. */
  readonly drop = (document: string): void => this.forget(this.idOf(document));

  /** The view is gone: what it could not save is sent from here. */
  readonly release = (document: string): void => {
    this.claimed.delete(document);
    const there = this.lying.get(this.idOf(document));
    if (there) this.later(there, AFTER_VIEW_MS);
  };

  /** Tries everything at once: the line is there again, or somebody asks for it. */
  readonly tryNow = (): void => {
    for (const [id, there] of this.lying) {
      there.retryMs = RETRY_MS;
      void this.send(id);
    }
    this.takeOver();
  };

  private idOf(document: string): string {
    return `${document}@${this.options.tab}`;
  }

  private lay(document: string, kind: string, body: unknown, changes: number, told?: Lying["told"]): Lying {
    const id = this.idOf(document);
    const letter: Letter = { id, document, kind, body, changes, at: this.options.today(), tab: this.options.tab };
    const before = this.lying.get(id);
    const there: Lying = before ?? { letter, retryMs: RETRY_MS, sending: false, hasFailed: false };
    there.letter = letter;
    if (told) there.told = told;
    there.issue = undefined;
    this.lying.set(id, there);
    // A body is written as it is now: it may be another by its turn.
    void this.write(() => (this.lying.get(id)?.letter === letter ? this.options.letters.put(letter) : Promise.resolve()));
    if (before?.hasFailed) this.tell();
    return there;
  }

  private async send(id: string): Promise<void> {
    const there = this.lying.get(id);
    if (!there || there.sending || there.issue || this.claimed.has(there.letter.document)) return;
    const { letter } = there;
    const sender = this.options.senders[letter.kind];
    // A letter of another version of this program: whoever wrote it will know what to do with it.
    if (!sender) return;
    this.options.timers.clear(there.timer);
    there.sending = true;
    let landed = () => undefined as void;
    there.flight = new Promise((end) => (landed = end));
    const answer = await sender(letter.body).catch((): Result<unknown> => fail({ code: "failed", path: [], got: NO_ANSWER }));
    there.sending = false;
    // Whoever waits for it is told once what came of it is known.
    void Promise.resolve().then(landed);
    const { told } = there;
    there.told = undefined;
    if (this.lying.get(id) !== there) return told?.(answer);
    if (answer.ok) {
      told?.(answer);
      // What was changed meanwhile goes out next.
      if (there.letter !== letter) return void this.send(id);
      if (there.takenOver) this.landed.set(letter.document, { letter, at: this.options.today() });
      return this.forget(id);
    }
    const [issue] = answer.issues;
    if (issue.code === "failed") {
      there.hasFailed = true;
      this.later(there, there.retryMs);
      there.retryMs = Math.min(MOST_RETRY_MS, 2 * there.retryMs);
      told?.(ok(undefined));
    } else if (told) {
      // Whoever asked is there and is told why; it would be refused again.
      told(answer);
      this.forget(id);
    } else there.issue = issue;
    this.tell();
  }

  private later(there: Lying, ms: number): void {
    const { timers } = this.options;
    timers.clear(there.timer);
    there.timer = timers.set(() => void this.send(there.letter.id), ms);
  }

  private forget(id: string): void {
    const there = this.lying.get(id);
    if (!there) return;
    this.options.timers.clear(there.timer);
    this.lying.delete(id);
    void this.write(() => (this.lying.has(id) ? Promise.resolve() : this.options.letters.remove(id)));
    this.tell();
  }

  /** Letters that no open tab looks after, and those of this tab that it does not know of: the page was loaded anew. */
  private async left(): Promise<Letter[]> {
    await this.writing;
    const { letters, tab, isOpen } = this.options;
    const found = await letters.all().catch((): readonly Letter[] => []);
    const open = await Promise.all(found.map((letter) => (letter.tab === tab ? this.lying.has(letter.id) : isOpen(letter.tab))));
    return found.filter((_, i) => !open[i]);
  }

  private takeOver(): void {
    this.taking = this.taking.then(() => this.takeOverAll());
  }

  private async takeOverAll(): Promise<void> {
    for (const letter of await this.left()) {
      const id = this.idOf(letter.document);
      if (this.claimed.has(letter.document) || this.lying.has(id) || !this.options.senders[letter.kind]) continue;
      this.lying.set(id, {
        letter: { ...letter, id, tab: this.options.tab },
        retryMs: RETRY_MS,
        sending: false,
        hasFailed: false,
        takenOver: true,
      });
      const mine = this.lying.get(id)!.letter;
      await this.write(async () => {
        await this.options.letters.put(mine);
        if (letter.id !== id) await this.options.letters.remove(letter.id);
      });
      void this.send(id);
    }
  }

  /** One after the other: what is put and removed ends as it was asked for. A device that keeps nothing is no reason to stop. */
  private write(work: () => Promise<void>): Promise<unknown> {
    return (this.writing = this.writing.then(work, work).catch(() => undefined));
  }

  private tell(): void {
    const all = [...this.lying.values()];
    const waits = all.filter((there) => there.hasFailed && !there.issue);
    this.now = {
      waiting: waits.reduce((sum, there) => sum + there.letter.changes, 0),
      workedOut: waits.filter((there) => there.letter.changes === 0).length,
      refused: all.flatMap(({ letter, issue }) => (issue ? [{ document: letter.document, issue }] : [])),
    };
    this.listeners.forEach((tell) => tell());
  }
}
