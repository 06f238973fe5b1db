import type { PlaceVerdict, Share } from '@/core/evidence';
import { counted } from '@/core/units';
import { defectName, type JudgeCriterion } from '@/core/vocabulary';
import type { JudgedGlaze } from '@/records/dictionary';

/** What each criterion is called on the page. */
export const CRITERION_WORDS: Readonly<Record<JudgeCriterion, string>> = {
  drying: 'How it dries',
  colour: 'Colour on each clay',
  breaks: 'Breaks over texture',
  moves: 'Moves',
  thickness: 'Takes thickness',
  over: 'Over others',
  under: 'Under others',
  repeatable: 'Comes out again',
  'plain firing': 'Fires without a hold',
  use: 'Where it may be used',
};

/** Defects named in one line at most. */
const NAMED = 3;

/**
 * What the records know under a criterion, with counts of pieces; null where they know nothing. Colours are shown, not
 * said.
 *
 * @example knownWords(judged, 'over') // '12 pieces: blistering on 9, sound on 3'
 */
export function knownWords(
  judged: JudgedGlaze,
  criterion: Exclude<JudgeCriterion, 'colour'>,
  isDecorative: boolean,
): string | null {
  switch (criterion) {
    case 'drying':
      return null;
    case 'breaks':
      return judged.breaks && `on ${ofWords(judged.breaks)}`;
    case 'moves':
      return judged.moves.length === 0
        ? null
        : judged.moves.map(({ movement, count }) => `${movement} on ${count}`).join(', ');
    case 'thickness':
      return judged.thickness.length === 0
        ? null
        : judged.thickness
            .map(({ times, sound }) => `${counted(times, 'coat')}: ${sound.count} of ${sound.of} sound`)
            .join(', ');
    case 'over':
    case 'under':
      return placeWords(judged[criterion]);
    case 'repeatable':
      return judged.repeatable && `${ofWords(judged.repeatable)} as the others`;
    case 'plain firing':
      return heldWords(judged);
    case 'use':
      return isDecorative ? 'decorative ware only, by its card' : null;
  }
}

const ofWords = ({ count, of }: Share) => `${count} of ${counted(of, 'piece')}`;

function placeWords({ pieces, sound, defects }: PlaceVerdict): string | null {
  if (pieces === 0) return null;
  const seen = defects.slice(0, NAMED).map(({ defect, count }) => `${defectName(defect)} on ${count}`);
  return `${counted(pieces, 'piece')}: ${[...seen, `sound on ${sound}`].join(', ')}`;
}

function heldWords({ held, notHeld }: JudgedGlaze): string | null {
  const parts = [
    notHeld && `without a hold in the programme ${notHeld.count} of ${notHeld.of} sound`,
    held && `with a hold in the programme ${held.count} of ${held.of} sound`,
  ].filter(Boolean);
  return parts.length === 0 ? null : parts.join(', ');
}
