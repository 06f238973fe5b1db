/** What a glaze is on: expansions are means in 1e-6/K, thickness is fired thickness in mm. */
export interface FitInput {
  readonly glazeExpansion: number;
  readonly bodyExpansion: number;
  readonly thicknessMm: number;
  /** Kelvin from where the glaze sets to room temperature; about 550. */
  readonly setDropK?: number | undefined;
  /** Young's modulus of the glaze in GPa; about 70. */
  readonly modulusGPa?: number | undefined;
  readonly poisson?: number | undefined;
}

export const VERDICTS = ['crazes', 'crazes later', 'fits', 'may shiver'] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface Fit {
  /** Glaze less body, 1e-6/K; above 0 the glaze is stretched. */
  readonly mismatch: number;
  /** Biaxial stress in the glaze, MPa; tension above 0. */
  readonly stressMPa: number;
  /** Fired thickness above which it crazes at once, mm; null in compression. */
  readonly criticalMm: number | null;
  /** The same after months in moist air, mm. */
  readonly delayedMm: number | null;
  readonly verdict: Verdict;
}

/** Toughness of a glaze, MPa·m^½: cracks at once, and by slow growth in moist air. */
export const TOUGHNESS = { atOnce: 0.75, slowly: 0.3 } as const;

/** Driving force of a channel crack in a thin film on a substrate of like stiffness. */
const CHANNEL = 1.976;

/** Mismatch below which a glaze may shiver, 1e-6/K: judgement, to be learnt for each body. */
export const SHIVER_LIMIT = -2.0;

/**
 * How a glaze fits a body: mismatch stress, and the fired thickness at which channel cracks run.
 *
 * Biaxial stress σ = E Δα ΔT / (1 − ν). A crack runs when G = 1.976 σ² h / E' reaches K² / E', so
 * h = K² / (1.976 σ²). Sources: Hutchinson and Suo, Adv. Appl. Mech. 29 (1992); Beuth, Int. J. Solids Struct.
 * 29 (1992). The verdict is a calculation: factor sets can miss by 0.5e-6/K, enough to turn it.
 *
 * @throws RangeError for a thickness, drop, modulus or Poisson ratio that cannot be
 * @example fitOf({ glazeExpansion: 7, bodyExpansion: 6.5, thicknessMm: 0.3 }).criticalMm // 0.492
 */
export function fitOf(input: FitInput): Fit {
  const {
    glazeExpansion,
    bodyExpansion,
    thicknessMm,
    setDropK = 550,
    modulusGPa = 70,
    poisson = 0.2,
  } = input;
  if (!(thicknessMm > 0)) throw new RangeError('thicknessMm must be > 0');
  if (!(setDropK > 0)) throw new RangeError('setDropK must be > 0');
  if (!(modulusGPa > 0)) throw new RangeError('modulusGPa must be > 0');
  if (!(poisson >= 0 && poisson < 0.5)) throw new RangeError('poisson must be ≥ 0 and < 0.5');
  const mismatch = glazeExpansion - bodyExpansion;
  const stressMPa = (modulusGPa * 1e3 * mismatch * 1e-6 * setDropK) / (1 - poisson);
  const runsAt = (toughness: number) =>
    mismatch > 0 ? (toughness ** 2 / (CHANNEL * stressMPa ** 2)) * 1e3 : null;
  const [criticalMm, delayedMm] = [runsAt(TOUGHNESS.atOnce), runsAt(TOUGHNESS.slowly)];
  return {
    mismatch,
    stressMPa,
    criticalMm,
    delayedMm,
    verdict: verdictOf(mismatch, thicknessMm, criticalMm, delayedMm),
  };
}

/**
 * The mismatch at which a glaze of a fired thickness just crazes, 1e-6/K: {@link fitOf} the other way round.
 *
 * @param toughness MPa·m^½
 * @example crazesFrom(0.492, TOUGHNESS.atOnce) // 0.5
 */
export function crazesFrom(
  thicknessMm: number,
  toughness: number,
  { setDropK = 550, modulusGPa = 70, poisson = 0.2 }: Partial<FitInput> = {},
): number {
  const stressMPa = toughness / Math.sqrt((CHANNEL * thicknessMm) / 1e3);
  return (stressMPa * (1 - poisson)) / (modulusGPa * 1e3 * 1e-6 * setDropK);
}

function verdictOf(
  mismatch: number,
  thickness: number,
  critical: number | null,
  delayed: number | null,
): Verdict {
  if (critical !== null && thickness > critical) return 'crazes';
  if (delayed !== null && thickness > delayed) return 'crazes later';
  return mismatch < SHIVER_LIMIT ? 'may shiver' : 'fits';
}
