import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import { groupedBy } from '../rows';
import { figures } from '../units';
import { crazesFrom, TOUGHNESS } from './stress';

/** One zone of the studio's own: a glaze of known recipe alone on the bare body. */
export interface FitTile {
  /** Which glaze: tiles of one glaze share the error of its calculated expansion. */
  readonly glaze: string;
  /** Calculated, 1e-6/K. */
  readonly glazeExpansion: number;
  /** Fired, mm. */
  readonly thicknessMm: number;
  readonly crazed: boolean;
  /** Days from the opening to when it was last looked at. */
  readonly ageDays: number;
  /** How far it was quenched since, K (a boil test with ice: {@link BOIL_TEST}); nothing when left out. */
  readonly shockK?: number;
  /** Water that the fired body takes up, % of its weight; its moisture expansion is left out when not known. */
  readonly absorption?: number;
  /** Thickness of the body, mm; as thick beside the glaze when left out. */
  readonly wallMm?: number;
  /** How many zones alike this stands for; 1 when left out. */
  readonly count?: number;
  /** Pieces of this glaze on this body in all, for a piece with several zones is one tile; counted by zones when left out. */
  readonly piecesOfGlaze?: number;
}

/** What the studio's tiles say of one body. */
export interface LearnedLimit {
  /** Effective expansion of the body, 1e-6/K: a glaze above it is stretched. */
  readonly value: number;
  /** 95 % interval. */
  readonly low: number;
  readonly high: number;
  /** How far calculated expansions of single glazes are off, one standard deviation, 1e-6/K. */
  readonly scatter: number;
  /** Pieces that it rests on. */
  readonly tiles: number;
  /** Of those, how many of each glaze. */
  readonly tilesOf: Readonly<Record<string, number>>;
  /** Zones, which are what is compared: thin and thick on one tile say more than two tiles alike. */
  readonly crazed: number;
  readonly sound: number;
}

export type Calibration =
  | { readonly enough: true; readonly limit: LearnedLimit }
  | {
      readonly enough: false;
      readonly why: string;
      readonly tiles: number;
      /** What can be said all the same: the lowest reach of a crazed tile, the highest of a sound one. */
      readonly below: number | null;
      readonly above: number | null;
    };

/** What a boil test, from boiling water into ice, quenches a tile by, K. */
export const BOIL_TEST = 100;

/** Share of a quench that stretches the glaze before the body follows (judgement). */
const OF_QUENCH = 0.3;
/** What a quench and moisture are compared with: from where a glaze sets to room temperature, K. */
const SET_DROP = 550;

/** Exponent of slow crack growth in moist air: strength falls as time^(−1/n). S. M. Wiederhorn, J. Am. Ceram. Soc. 50 (1967), 407–414: about 18 for soda-lime glass. */
const GROWTH = 18;
/** Hours after which a crack has not yet grown: the kiln is still being unpacked. */
const AT_ONCE = 1;

/**
 * Toughness left to a glaze after some days in moist air, MPa·m^½.
 *
 * @example toughnessAt(0) // 0.75
 * @example toughnessAt(730) // 0.44
 */
export function toughnessAt(days: number): number {
  return TOUGHNESS.atOnce * (Math.max(AT_ONCE, days * 24) / AT_ONCE) ** (-1 / GROWTH);
}

/**
 * How much a body that takes up water grows with the years, as a mismatch, 1e-6/K: as the fourth root of time, about
 * 0.04 % in two years for one that takes up 10 % (judgement).
 *
 * Source of the power: M. A. Wilson et al., Phys. Rev. Lett. 90 (2003), 125503.
 */
function moistureExpansion(absorption: number, days: number): number {
  return ((400 * absorption) / 10 / SET_DROP) * (days / 730) ** 0.25;
}

/** The mismatch that a tile stands at its age and thickness, 1e-6/K, as far as its own figures tell. */
function standsOf({ thicknessMm, ageDays, wallMm }: FitTile): number {
  // A body as thin as its glaze gives way and takes half of the strain.
  const shared = wallMm === undefined ? 1 : 1 + thicknessMm / wallMm;
  return crazesFrom(thicknessMm, toughnessAt(ageDays)) * shared;
}

/** The body expansion at which this tile, at its age and thickness, would be just about to craze, 1e-6/K. */
export function reachOf(tile: FitTile): number {
  const { glazeExpansion, ageDays, shockK = 0, absorption = 0 } = tile;
  const shock = (glazeExpansion * shockK * OF_QUENCH) / SET_DROP;
  return glazeExpansion + shock + moistureExpansion(absorption, ageDays) - standsOf(tile);
}

/** Errors of a thickness, which goes in by its root, and of a toughness, as shares (judgement). */
const ERRORS = { thickness: 0.25, toughness: 0.1 } as const;
/** Tiles that are read or filed wrong (judgement). */
const MISREAD = 0.005;
/** Where bodies lie before any tile is read, 1e-6/K (judgement). */
const BODIES = { middle: 6.5, deviation: 1.5 } as const;
/** How far calculated expansions may be off, one standard deviation, and how likely each is beforehand (judgement). */
const OFF = [0.1, 0.15, 0.2, 0.3, 0.4, 0.55, 0.75].map((off) => ({
  off,
  log: -0.5 * (Math.log(off / 0.4) / 0.4) ** 2,
}));
/** Step of the grid on which the limit is looked for, and how far beyond the tiles it goes, 1e-6/K. */
const GRID = { step: 0.025, beyond: 2.5 } as const;

const LEAST = { tiles: 20, ofEach: 2, glazes: 5 } as const;
/** An interval wider than this says too little to judge a glaze by, 1e-6/K (judgement). */
const WIDEST = 1.2;
/** A tile tells when it lies so near the limit that it could have come out either way, 1e-6/K (judgement). */
const NEAR = 1;

/**
 * Estimates a body's effective expansion from the studio's own crazed and sound tiles.
 *
 * A tile crazes when its reach (expansion less what its thickness stands at its age) lies above the body's
 * limit. A sound tile is only sound so far: it counts at its age and no further. The expansion of each glaze is off
 * by an error that all its tiles share (of Student's t with 8 degrees of freedom, so that one glaze far off does not
 * pull the rest), and each tile by its thickness and toughness. Limit and error are integrated over a grid; the value
 * is the median, the interval the middle 95 %.
 *
 * @returns the limit, or why there are not enough tiles: fewer than 20 of 5 glazes that tell, fewer than 2 crazed
 *   or 2 sound, or an interval wider than 1.2e-6/K
 */
export function calibrate(tiles: readonly FitTile[]): Calibration {
  const crazed = tiles.filter((tile) => tile.crazed);
  const sound = tiles.filter((tile) => !tile.crazed);
  const limit = tiles.length > 0 ? limitOf(tiles) : null;
  const telling = limit ? tiles.filter((tile) => Math.abs(reachOf(tile) - limit.value) < NEAR) : [];
  const glazes = new Set(telling.map((tile) => tile.glaze));
  const tilesOf = Object.fromEntries(
    [...new Set(tiles.map((tile) => tile.glaze))].map((glaze) => [glaze, piecesOf(tiles, glaze)]),
  );
  const all = Object.values(tilesOf).reduce((sum, n) => sum + n, 0);
  const near = [...glazes].reduce((sum, glaze) => sum + piecesOf(telling, glaze), 0);
  const [cracked, whole] = [countOf(crazed), countOf(sound)];
  const missing = [
    near < LEAST.tiles && `${LEAST.tiles - near} more tiles${all > near ? ' near its limit' : ''}`,
    cracked < LEAST.ofEach && 'crazed ones',
    whole < LEAST.ofEach && 'sound ones',
    all > 0 && glazes.size < LEAST.glazes && `${LEAST.glazes - glazes.size} more glazes near its limit`,
    limit &&
      limit.high - limit.low > WIDEST &&
      `a narrower range (${figures(limit.low, 1)} to ${figures(limit.high, 1)} so far)`,
  ].filter(Boolean);
  if (!limit || missing.length) {
    return {
      enough: false,
      why: `Not enough tiles: ${all} so far, missing ${missing.join(', ')}.`,
      tiles: all,
      below: crazed.length ? Math.min(...crazed.map(reachOf)) : null,
      above: sound.length ? Math.max(...sound.map(reachOf)) : null,
    };
  }
  return { enough: true, limit: { ...limit, tiles: all, tilesOf, crazed: cracked, sound: whole } };
}

function piecesOf(tiles: readonly FitTile[], glaze: string): number {
  const own = tiles.filter((tile) => tile.glaze === glaze);
  return own[0]?.piecesOfGlaze ?? countOf(own);
}

function countOf(tiles: readonly FitTile[]): number {
  return tiles.reduce((sum, { count = 1 }) => sum + count, 0);
}

/**
 * The expansion that tiles say a body has, whether or not they are enough to go by.
 *
 * @param tiles at least one
 */
export function limitOf(tiles: readonly FitTile[]): Pick<LearnedLimit, 'value' | 'low' | 'high' | 'scatter'> {
  const reaches = tiles.map(reachOf);
  const least = Math.min(...reaches) - GRID.beyond;
  const steps = Math.round((Math.max(...reaches) + GRID.beyond - least) / GRID.step) + 1;
  const at = (i: number) => least + i * GRID.step;
  const byGlaze = [...groupedBy(tiles, ({ glaze }) => glaze).values()].map((own) =>
    Float64Array.from({ length: steps }, (_, i) => logOf(own, at(i))),
  );
  const posterior = OFF.map(({ off, log }) => {
    const sum = Float64Array.from(
      { length: steps },
      (_, i) => log - 0.5 * ((at(i) - BODIES.middle) / BODIES.deviation) ** 2,
    );
    for (const own of byGlaze) {
      const spread = smeared(own, off);
      for (let i = 0; i < steps; i++) sum[i]! += spread[i]!;
    }
    return sum;
  });
  const most = posterior.reduce((top, row) => Math.max(top, ...row), -Infinity);
  const weights = posterior.map((row) => row.map((value) => Math.exp(value - most)));
  const ofValue = Float64Array.from({ length: steps }, (_, i) => sumOf(weights.map((row) => row[i]!)));
  const total = sumOf(ofValue);
  const below = (share: number) => {
    let before = 0;
    return at(ofValue.findIndex((weight) => (before += weight) >= share * total));
  };
  return {
    value: below(0.5),
    low: below(0.025),
    high: below(0.975),
    scatter: sumOf(weights.map((row, k) => OFF[k]!.off * sumOf(row))) / total,
  };
}

function sumOf(values: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < values.length; i++) sum += values[i]!;
  return sum;
}

/** ln of the likelihood of a glaze's tiles, were its expansion right and this the limit of the body. */
function logOf(tiles: readonly FitTile[], limit: number): number {
  return tiles.reduce((sum, tile) => {
    const deviation = standsOf(tile) * Math.hypot(ERRORS.thickness / 2, ERRORS.toughness);
    const over = (reachOf(tile) - limit) / deviation;
    const chance = MISREAD + (1 - 2 * MISREAD) * normalCdf(tile.crazed ? over : -over, 0, 1);
    return sum + (tile.count ?? 1) * Math.log(chance);
  }, 0);
}

/** ln of the likelihood of a glaze over limits, where its calculated expansion is off by an error of Student's t. */
function smeared(logs: Float64Array, off: number): Float64Array {
  const reach = Math.min(logs.length - 1, Math.round((5 * off) / GRID.step));
  // Student's t with 8 degrees of freedom has a standard deviation of √(8/6).
  const kernel = Float64Array.from({ length: reach + 1 }, (_, i) => {
    const t = ((i * GRID.step) / off) * Math.sqrt(8 / 6);
    return (1 + (t * t) / 8) ** -4.5;
  });
  const norm = 2 * sumOf(kernel) - kernel[0]!;
  const most = logs.reduce((top, value) => Math.max(top, value), -Infinity);
  // What lies beyond the grid is as at its ends.
  const padded = new Float64Array(logs.length + 2 * reach);
  for (let i = 0; i < padded.length; i++)
    padded[i] = Math.exp(logs[Math.min(logs.length - 1, Math.max(0, i - reach))]! - most);
  return logs.map((_, i) => {
    const middle = i + reach;
    let sum = kernel[0]! * padded[middle]!;
    for (let k = 1; k <= reach; k++) sum += kernel[k]! * (padded[middle - k]! + padded[middle + k]!);
    return Math.log(Math.max(sum / norm, 1e-300)) + most;
  });
}
