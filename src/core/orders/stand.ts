import { AGAIN_FATES, type Fate, type LoadState, type PieceStage } from '../vocabulary';

/** A piece of an order, as far as it decides how the order stands. */
export interface OrderedPiece {
  readonly stage: PieceStage;
  readonly fate: Fate | null;
  /** How it came out of its last firing; null when it was in none. */
  readonly state: LoadState | null;
}

/** How an order stands, in pieces. */
export interface Stand {
  /** Kept, or of first quality, or given over: what was decided after a firing. */
  readonly good: number;
  /** Still to be fired, or going into a kiln again, or to be ground. */
  readonly coming: number;
  /** Out of the kiln, and nothing was decided yet. */
  readonly undecided: number;
  /** Seconds, discarded, broken and missing. */
  readonly lost: number;
  /** To be made beside those that are good, coming or undecided. */
  readonly toMake: number;
}

const GOOD: readonly Fate[] = ['keep', 'first', 'give'];
const LOST: readonly Fate[] = ['second', 'discard'];
const COMING: readonly Fate[] = [...AGAIN_FATES, 'grind'];

/** Where one piece of an order is counted. */
export function standOf({ stage, fate, state }: OrderedPiece): Exclude<keyof Stand, 'toMake'> {
  if (state === 'missing' || state === 'broken') return 'lost';
  if (fate && LOST.includes(fate)) return 'lost';
  if (fate && COMING.includes(fate)) return 'coming';
  if (fate && GOOD.includes(fate)) return 'good';
  return stage === 'fired' || stage === 'read' ? 'undecided' : 'coming';
}

/**
 * How an order stands.
 *
 * @param count how many are wanted
 * @param pieces that belong to it; more than are wanted leave nothing to make
 */
export function orderStand(count: number, pieces: readonly OrderedPiece[]): Stand {
  const stand = { good: 0, coming: 0, undecided: 0, lost: 0 };
  for (const piece of pieces) stand[standOf(piece)]++;
  return { ...stand, toMake: Math.max(0, count - stand.good - stand.coming - stand.undecided) };
}
