export const DAY = 86_400_000;

/** The glaze whose crazing on porcelain is followed up. */
export const LADDER_BASE = 'Lamp Clear';

/** The ids of what the story speaks of by name. */
export interface Studio {
  readonly members: readonly string[];
  readonly bodies: ReadonlyMap<string, string>;
  readonly glazes: ReadonlyMap<string, string>;
  /** Batches by glaze, the older first. */
  readonly batches: ReadonlyMap<string, readonly [string, string]>;
  /** The expansion of the test glazes of rounds, 1e-6/K by glaze id. */
  readonly tests: Map<string, number>;
  readonly kilns: ReadonlyMap<string, string>;
  readonly programmes: ReadonlyMap<string, string>;
  readonly now: Date;
}

/** A moment of an earlier day, never later than now. */
export function ago({ now }: Studio, days: number, hour = 9): Date {
  const at = new Date(now.getTime() - days * DAY);
  at.setHours(hour, 0, 0, 0);
  return at.getTime() > now.getTime() ? now : at;
}

/** The date of an earlier day. */
export function dayAgo(now: Date, days: number): string {
  return new Date(now.getTime() - days * DAY).toISOString().slice(0, 10);
}
