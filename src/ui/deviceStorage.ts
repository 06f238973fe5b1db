/**
 * What this browser keeps for a member: drafts, choices, the bench. Each value stands under its owner and with the
 * version of its shape, so that a draft outlives neither a release that shapes it otherwise nor, on a shared tablet,
 * the member who typed it. A full or blocked store never breaks a page: it is reported, and the frame says so.
 */

/** Who values are kept for where nobody is signed in. */
export const ANYBODY = 'anybody';

/** What can be kept with a version: whose it is, and how its value is shaped. */
export interface Slot {
  readonly owner: string;
  readonly key: string;
  /** Raised when the shape of the value changes; what was kept in another shape is not read. */
  readonly version: number;
}

interface Envelope {
  readonly version: number;
  readonly value: unknown;
}

const nameOf = ({ owner, key }: Slot) => `jiten/${owner}/${key}`;

/** Keeps a value; a failure is reported to the frame. Returns whether it was kept. */
export function keepOnDevice(slot: Slot, value: unknown): boolean {
  try {
    localStorage.setItem(nameOf(slot), JSON.stringify({ version: slot.version, value } satisfies Envelope));
    return true;
  } catch {
    reportStorageFailure();
    return false;
  }
}

/** The value that is kept for an owner in this shape; null for none. */
export function readFromDevice<T>(slot: Slot): T | null {
  try {
    const text = localStorage.getItem(nameOf(slot));
    if (text === null) return adoptUnowned<T>(slot);
    const { version, value } = JSON.parse(text) as Envelope;
    return version === slot.version ? (value as T) : null;
  } catch {
    return null;
  }
}

/** Drops a value. */
export function dropFromDevice(slot: Slot): void {
  try {
    localStorage.removeItem(nameOf(slot));
  } catch {
    // A store that cannot be reached holds nothing to drop.
  }
}

/** Takes over what the release before kept without an owner, once: what somebody typed is not lost by an update. */
function adoptUnowned<T>(slot: Slot): T | null {
  const text = localStorage.getItem(slot.key);
  if (text === null || slot.version !== 1) return null;
  const value = JSON.parse(text) as T;
  localStorage.removeItem(slot.key);
  keepOnDevice(slot, value);
  return value;
}

let hasFailed = false;
const listeners = new Set<() => void>();

/** Notes that this device could not keep something; the frame shows it until the page is closed. */
export function reportStorageFailure(): void {
  hasFailed = true;
  for (const listener of listeners) listener();
}

/** Whether something could not be kept on this device, for `useSyncExternalStore`. */
export const storageFailure = {
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  get: () => hasFailed,
};
