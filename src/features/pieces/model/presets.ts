import { formShape, reachMm } from '@/core/vocabulary';
import type { CoatDraft, PieceDraft } from '@/records/pieces';
import { sidesFor, withCoat, type FormChoice } from './draft';

/** A usual place of a coat, chosen with one tap. */
export interface Preset {
  readonly name: string;
  /** The draft with the coat there. */
  readonly put: (draft: PieceDraft, index: number) => PieceDraft;
}

const CM = 10;

/** Puts a coat on a stretch of a side of its own. */
const at =
  (place: Partial<Pick<CoatDraft, 'side' | 'from' | 'to'>>) =>
  (draft: PieceDraft, index: number): PieceDraft =>
    withCoat(draft, index, { area: null, from: 0, to: 1, ...place });

/** The same coat inside and outside: a second one like it lies beside it in the order of application. */
function insideAndOut(draft: PieceDraft, index: number): PieceDraft {
  const { coats } = at({ side: 'outside' })(draft, index);
  const inside: CoatDraft = { ...coats[index]!, side: 'inside', not: [] };
  return { ...draft, coats: [...coats.slice(0, index), inside, ...coats.slice(index)] };
}

/**
 * The usual places of a coat on a piece. Bands of centimetres are there where the piece is tall enough for them; a
 * piece that has an inside has its liner, and both sides at once; flat ware its well and its flange.
 *
 * @param bands those that are usual on the studio's own form
 */
export function presetsFor(draft: PieceDraft, bands: FormChoice['bands'] = []): Preset[] {
  const reach = reachMm(draft);
  const sides = sidesFor(draft);
  const hasInside = sides.includes('inside') && sides.includes('outside');
  const { plan, landmarks } = formShape(draft.form);
  const band = (mm: number) => Math.min(1, mm / reach);
  const all: (Preset | false)[] = [
    { name: 'all over', put: at({}) },
    hasInside && { name: 'liner', put: at({ side: 'inside' }) },
    hasInside && { name: 'inside and outside', put: insideAndOut },
    !plan && reach > 2 * CM && { name: '1 cm above the foot', put: at({ from: band(CM) }) },
    reach > 2 * CM && { name: 'rim 1 cm', put: at({ from: 1 - band(CM) }) },
    reach > 5 * CM && { name: 'rim 3 cm', put: at({ from: 1 - band(3 * CM) }) },
    !plan && { name: 'lower two thirds', put: at({ to: 2 / 3 }) },
    !plan && { name: 'upper two thirds', put: at({ from: 1 / 3 }) },
    hasInside && { name: 'outside only', put: at({ side: 'outside' }) },
  ];
  const own = bands.map(({ name, from, to }): Preset => ({ name, put: at({ from, to }) }));
  const parts = plan ? landmarks.filter(({ name }) => name === 'well' || name === 'flange') : [];
  const named = parts.map(({ name, from, to }): Preset => ({ name, put: at({ from, to }) }));
  return [...own, ...all.filter((one) => one !== false), ...named];
}
