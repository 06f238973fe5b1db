import { calibrate, limitOf, type FitTile } from '@/core/fit';
import { Chance, percent, type Row, type Size } from './row';

/** Glazes and tiles of each, and how far calculated expansions are off, one standard deviation, 1e-6/K. */
const SETTINGS = [
  [8, 4, 0.3],
  [8, 8, 0.3],
  [5, 12, 0.3],
  [20, 6, 0.3],
  [2, 10, 0.3],
  [6, 6, 0.5],
] as const;

/**
 * The mismatch at which a glaze crazes, 1e-6/K, written down again from Hutchinson and Suo (1992): σ = K / √(1.976 h),
 * σ = E Δα ΔT / (1 − ν), with 70 GPa, 0.2 and 550 K; toughness falls as the eighteenth root of its hours.
 */
function stands(thicknessMm: number, ageDays: number, toughness: number): number {
  const aged = toughness * Math.max(1, ageDays * 24) ** (-1 / 18);
  const stress = (aged * 1e6) / Math.sqrt(1.976 * thicknessMm * 1e-3);
  return (stress * 0.8) / (70e9 * 550) / 1e-6;
}

/** A studio's tiles on a body of a true expansion. */
function tilesOf(chance: Chance, truth: number, glazes: number, each: number, off: number): FitTile[] {
  return Array.from({ length: glazes }).flatMap((_, g) => {
    const real = truth + chance.between(-0.1, 1.5);
    const calculated = real + chance.normal(0, off);
    return Array.from({ length: each }, () => {
      const dips = chance.pick([0.3, 0.3, 0.6, 0.9]);
      const ageDays = chance.pick([0, 0, 7, 60, 365, 900]);
      const thick = dips * Math.exp(chance.normal(0, 0.25));
      const mismatch = real - truth;
      return {
        glaze: `${g}`,
        glazeExpansion: calculated,
        thicknessMm: dips,
        ageDays,
        crazed: mismatch > stands(thick, ageDays, 0.75 * (1 + chance.normal(0, 0.1))),
      };
    });
  });
}

/** A body's learned limit: how often its interval holds, and how wide it is. */
export function bodyLimitRows(size: Size): Row[] {
  const studios = size === 'long' ? 400 : 40;
  // Few studios tell a share to a few per cent only.
  const give = size === 'long' ? 0 : 0.08;
  return SETTINGS.map(([glazes, each, off], n) => {
    const chance = new Chance(100 + n);
    let [held, width, enough] = [0, 0, 0];
    for (let i = 0; i < studios; i++) {
      const truth = chance.between(5, 7.5);
      const tiles = tilesOf(chance, truth, glazes, each, off);
      const { low, high } = limitOf(tiles);
      if (low <= truth && truth <= high) held++;
      if (!calibrate(tiles).enough) continue;
      enough++;
      width += high - low;
    }
    const coverage = held / studios;
    return {
      model: 'a body’s learned limit',
      setting: `${glazes} glazes × ${each} tiles, calculated to ± ${off}e-6`,
      aim: `interval holds in 88 to 98 %${glazes >= 5 ? ', where there are enough tiles mean width ≤ 1' : ''}`,
      reached: `${percent(coverage)}, ${enough ? (width / enough).toFixed(2) : 'no width'}; enough in ${percent(enough / studios)}`,
      isMet: coverage >= 0.88 - give && coverage <= 0.98 + give && (glazes < 5 || width / enough <= 1),
    };
  });
}
