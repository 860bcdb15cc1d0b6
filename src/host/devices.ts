import { createHash, randomBytes, randomInt, timingSafeEqual } from "node:crypto";

/** Digits of the code that another device is let in by. */
const DIGITS = 8;
/** A code is good for so long, and for so many tries. */
const CODE_MINUTES = 10;
const MOST_TRIES = 5;

export interface Device {
  readonly id: string;
  readonly name: string;
  readonly pairedAt: string;
}

/** Where devices and the code that is good now are kept; only hashes of secrets are. */
export interface DeviceStore {
  readonly devices: () => readonly (Device & { readonly secret: string })[];
  readonly add: (device: Device & { readonly secret: string }) => void;
  readonly remove: (id: string) => void;
  readonly code: () => { readonly hash: string; readonly until: number; readonly tries: number } | undefined;
  readonly setCode: (code: { hash: string; until: number; tries: number } | undefined) => void;
}

const hashOf = (secret: string): string => createHash("sha256").update(secret).digest("hex");
const same = (a: string, b: string): boolean => a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b));

/** Other devices at home: shut out until a code is asked for on this one, let in by it once, and shut out again at any time. */
export class Devices {
  constructor(
    private readonly store: DeviceStore,
    private readonly now: () => number,
  ) {}

  /** Makes the code that lets one device in. The one before is void. */
  open(): { readonly code: string; readonly until: number } {
    const code = String(randomInt(10 ** DIGITS)).padStart(DIGITS, "0");
    const until = this.now() + CODE_MINUTES * 60_000;
    this.store.setCode({ hash: hashOf(code), until, tries: MOST_TRIES });
    return { code, until };
  }

  /** Whether any device may knock: a code is good, or one is let in already. */
  get isOn(): boolean {
    return this.goodCode() !== undefined || this.store.devices().length > 0;
  }

  /** Lets a device in by the code. @returns the secret it shows from then on; undefined where the code is not good */
  pair(typed: string, name: string): string | undefined {
    const code = this.goodCode();
    if (!code) return undefined;
    if (!same(hashOf(typed.replace(/\D/g, "")), code.hash)) {
      this.store.setCode(code.tries > 1 ? { ...code, tries: code.tries - 1 } : undefined);
      return undefined;
    }
    const secret = randomBytes(32).toString("base64url");
    this.store.setCode(undefined);
    this.store.add({
      id: randomBytes(8).toString("hex"),
      name: name.slice(0, 80),
      pairedAt: new Date(this.now()).toISOString(),
      secret: hashOf(secret),
    });
    return secret;
  }

  /** Whether a secret is one of a device that was let in. */
  knows(secret: string | undefined): boolean {
    if (secret === undefined) return false;
    const hash = hashOf(secret);
    return this.store.devices().some((device) => same(device.secret, hash));
  }

  list(): Device[] {
    return this.store.devices().map(({ id, name, pairedAt }) => ({ id, name, pairedAt }));
  }

  /** Shuts a device out. */
  revoke(id: string): void {
    this.store.remove(id);
  }

  private goodCode() {
    const code = this.store.code();
    return code && code.until > this.now() && code.tries > 0 ? code : undefined;
  }
}
