/** One line of the table of models: what was tried, what was wanted and what came out. */
export interface Row {
  readonly model: string;
  readonly setting: string;
  readonly aim: string;
  readonly reached: string;
  readonly isMet: boolean;
}

/** How much is tried: the short form runs with the tests, the long one by `npm run validate`. */
export type Size = 'short' | 'long';

/** A steady source of numbers from 0 to 1, the same at every run. */
export class Chance {
  constructor(private state: number) {}

  /** From 0 to 1 (mulberry32). */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  }

  between(low: number, high: number): number {
    return low + (high - low) * this.next();
  }

  /** Evenly along the logarithm. */
  scaled(low: number, high: number): number {
    return Math.exp(this.between(Math.log(low), Math.log(high)));
  }

  whole(low: number, high: number): number {
    return Math.floor(this.between(low, high + 1));
  }

  /** A normal deviate (Box and Muller). */
  normal(mean = 0, deviation = 1): number {
    return mean + deviation * Math.sqrt(-2 * Math.log(1 - this.next())) * Math.cos(2 * Math.PI * this.next());
  }

  isTrue(share: number): boolean {
    return this.next() < share;
  }

  pick<T>(list: readonly T[]): T {
    return list[Math.floor(this.next() * list.length)]!;
  }
}

/** A share with its exact upper 95 % bound would be `shareOf`; tables want per cent. */
export const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;
