import { layerWords, wayOf, whereWords } from '@/core/coats';
import { lengthOf, sayMessage, sayQuantity, type Units } from '@/core/units';
import type { PieceDraft } from '@/records/pieces';
import { textureWords } from './textureWords';

/** The names that a piece's ids stand for. */
export interface DraftNames {
  readonly bodyOf: (id: string) => string;
  readonly glazeOf: (id: string) => string;
  readonly formOf: (id: string) => string;
}

/** What two versions of a piece say differently, in words. */
export function differing(mine: PieceDraft, theirs: PieceDraft, names: DraftNames, units: Units) {
  const [one, other] = [mine, theirs].map((draft) => wordsOf(draft, names, units)) as [Words, Words];
  return (Object.keys(one) as (keyof Words)[])
    .filter((name) => one[name] !== other[name])
    .map((name) => ({ name, mine: one[name] || 'none', theirs: other[name] || 'none' }));
}

type Words = ReturnType<typeof wordsOf>;

function wordsOf(draft: PieceDraft, { bodyOf, glazeOf, formOf }: DraftNames, units: Units) {
  const size = (mm: number) => sayQuantity(lengthOf(mm), units);
  const where = (zone: Parameters<typeof whereWords>[0]) => sayMessage(whereWords(zone, draft), units);
  const coats = draft.coats.map(({ glazeId, method, times, not, ...coat }) =>
    [
      `${glazeOf(glazeId)} ${layerWords({ times, way: wayOf(method) })}`,
      where(coat),
      ...(not.length ? [`not on ${not.join(' and ')}`] : []),
    ].join(', '),
  );
  const areas = draft.areas.map((area) =>
    [
      area.name,
      ...(area.side ? [where({ side: area.side, from: area.from, to: area.to })] : []),
      ...(area.bodyId ? [`of ${bodyOf(area.bodyId)}`] : []),
    ].join(', '),
  );
  return {
    Form: draft.formId === null ? draft.form : formOf(draft.formId),
    Clay: bodyOf(draft.bodyId),
    Height: size(draft.heightMm),
    Width: size(draft.widthMm),
    Texture: textureWords(draft),
    Areas: areas.join('; '),
    'Wanted effects': draft.wanted.join(', '),
    Coats: coats.join('; '),
    'Own number': draft.ownNumber,
    Note: draft.note,
  };
}
