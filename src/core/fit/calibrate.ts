import { crazesFrom, TOUGHNESS } from './stress';

/** One zone of the studio's own: a glaze of known recipe alone on the bare body. */
export interface FitTile {
  /** Which glaze: tiles of one glaze share its factor error and do not count as independent. */
  readonly glaze: string;
  /** Calculated, 1e-6/K. */
  readonly glazeExpansion: number;
  /** Fired, mm. */
  readonly thicknessMm: number;
  readonly crazed: boolean;
  /** Months from the firing to when it was last looked at. A boil test counts as {@link BOIL_TEST_MONTHS}. */
  readonly ageMonths: number;
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
  /** Scatter of single glazes about it, 1e-6/K. */
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

/** A boil test (or ice and boil) ages a tile about this much (judgement). */
export const BOIL_TEST_MONTHS = 24;

/** Slow growth has done its work after about this many months (judgement). */
const FULL_AGE = 24;

/** Tiles of one glaze beyond this many add no weight: they share the error of its calculated expansion. */
const MOST_OF_ONE_GLAZE = 4;

const LEAST = { tiles: 6, ofEach: 2, glazes: 2 };

/**
 * Toughness left to a glaze after some months in moist air, MPa·m^½: from the value at once to the value of
 * slow growth, falling with the logarithm of time (judgement, after static fatigue of glass).
 *
 * @example toughnessAt(24) // 0.3
 */
export function toughnessAt(months: number): number {
  const part = Math.min(1, Math.log1p(Math.max(0, months)) / Math.log1p(FULL_AGE));
  return TOUGHNESS.atOnce + (TOUGHNESS.slowly - TOUGHNESS.atOnce) * part;
}

/** The body expansion at which this tile, at its age and thickness, would be just about to craze, 1e-6/K. */
export function reachOf(tile: FitTile): number {
  return tile.glazeExpansion - crazesFrom(tile.thicknessMm, toughnessAt(tile.ageMonths));
}

/**
 * Estimates a body's effective expansion from the studio's own crazed and sound tiles.
 *
 * A tile crazes when its reach (expansion less what its thickness stands at its age) lies above the body's
 * limit. A sound tile is only sound so far: it counts at its age and no further. The limit and the scatter
 * of glazes about it are those of greatest logistic likelihood; the interval is where the profile likelihood
 * stays within 1.92 of it (Wilks). Tiles of one glaze beyond four share their weight.
 *
 * @returns the limit, or why there are not enough tiles: fewer than 6, fewer than 2 crazed or 2 sound, or
 *   all of one glaze
 */
export function calibrate(tiles: readonly FitTile[]): Calibration {
  const crazed = tiles.filter((tile) => tile.crazed);
  const sound = tiles.filter((tile) => !tile.crazed);
  const glazes = new Set(tiles.map((tile) => tile.glaze));
  const tilesOf = Object.fromEntries([...glazes].map((glaze) => [glaze, piecesOf(tiles, glaze)]));
  const all = Object.values(tilesOf).reduce((sum, n) => sum + n, 0);
  const [cracked, whole] = [countOf(crazed), countOf(sound)];
  const missing = [
    all < LEAST.tiles && `${LEAST.tiles - all} more tiles`,
    cracked < LEAST.ofEach && 'crazed ones',
    whole < LEAST.ofEach && 'sound ones',
    all > 0 && glazes.size < LEAST.glazes && 'a second glaze',
  ].filter(Boolean);
  if (missing.length) {
    return {
      enough: false,
      why: `Not enough tiles: ${all} so far, missing ${missing.join(', ')}.`,
      tiles: all,
      below: crazed.length ? Math.min(...crazed.map(reachOf)) : null,
      above: sound.length ? Math.max(...sound.map(reachOf)) : null,
    };
  }
  const best = mostLikely(tiles);
  return {
    enough: true,
    limit: { ...best, tiles: all, tilesOf, crazed: cracked, sound: whole },
  };
}

function piecesOf(tiles: readonly FitTile[], glaze: string): number {
  const own = tiles.filter((tile) => tile.glaze === glaze);
  return own[0]?.piecesOfGlaze ?? countOf(own);
}

function countOf(tiles: readonly FitTile[]): number {
  return tiles.reduce((sum, { count = 1 }) => sum + count, 0);
}

const STEP = 0.02;
const SCATTERS = [0.1, 0.15, 0.2, 0.25, 0.3, 0.4, 0.5, 0.65, 0.8];

function mostLikely(tiles: readonly FitTile[]) {
  const seen = weighed(tiles);
  const least = Math.min(...seen.map((tile) => tile.reach)) - 2;
  const steps = Math.round((Math.max(...seen.map((tile) => tile.reach)) + 2 - least) / STEP);
  const profile = Array.from({ length: steps + 1 }, (_, i) => {
    const value = least + i * STEP;
    return SCATTERS.map((scatter) => ({ value, scatter, fit: likelihood(seen, value, scatter) })).reduce(
      (best, one) => (one.fit > best.fit ? one : best),
    );
  });
  const best = profile.reduce((top, one) => (one.fit > top.fit ? one : top));
  const within = profile.filter((one) => best.fit - one.fit <= 1.92);
  return { value: best.value, scatter: best.scatter, low: within[0]!.value, high: within.at(-1)!.value };
}

interface Weighed {
  readonly reach: number;
  readonly crazed: boolean;
  readonly weight: number;
}

function weighed(tiles: readonly FitTile[]): Weighed[] {
  const count = new Map<string, number>();
  for (const tile of tiles) count.set(tile.glaze, (count.get(tile.glaze) ?? 0) + (tile.count ?? 1));
  return tiles.map((tile) => ({
    reach: reachOf(tile),
    crazed: tile.crazed,
    weight: (tile.count ?? 1) * Math.min(1, MOST_OF_ONE_GLAZE / count.get(tile.glaze)!),
  }));
}

function likelihood(tiles: readonly Weighed[], limit: number, scatter: number): number {
  return tiles.reduce((sum, { reach, crazed, weight }) => {
    const odds = (reach - limit) / scatter;
    return sum - weight * Math.log1p(Math.exp(crazed ? -odds : odds));
  }, 0);
}
