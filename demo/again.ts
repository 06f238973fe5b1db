import { PLAIN_COAT } from '@/core/coats';
import type { Db } from '@/records/platform';
import { correctPiece, piecesById } from '@/records/pieces';
import { PROGRAMMES } from './scenario/programmes';
import type { PlannedFiring, PlannedPiece } from './scenario/plan';
import type { Studio } from './studio';

/** Pieces that went into Number Two a second time: a lustre band, and faults that were fired again. */
export const AGAIN_FIRINGS: readonly PlannedFiring[] = [
  {
    key: 'lustre',
    kiln: 'two',
    kind: 'lustre',
    cone: '018',
    atmosphere: 'oxidation',
    daysAgo: 70,
    state: 'closed',
    segments: PROGRAMMES['Lustre, cone 018'],
    programme: '',
    remarks: 'A brass line around two mugs, below where a mouth touches; windows open, vent on.',
  },
  {
    key: 'refires',
    kiln: 'two',
    kind: 'refire',
    cone: '6',
    atmosphere: 'oxidation',
    daysAgo: 50,
    state: 'closed',
    segments: PROGRAMMES['Cone 6, slow end'],
    programme: '',
    remarks: 'Pitted ware once more, as it was.',
  },
];

/** Mugs of the story that get a line of lustre. */
const LUSTRED = 2;

/** Pitted ware that goes in again. */
const REFIRED = 4;

type Load = readonly (readonly [PlannedPiece, string])[];

/** What goes into a firing of pieces that were fired before. */
export async function loadAgain(base: Db, studio: Studio, key: string): Promise<Load> {
  return key === 'lustre' ? lustred(base, studio) : refired(base);
}

async function lustred(base: Db, studio: Studio): Promise<Load> {
  const ids = await base('piece').where({ form: 'mug' }).orderBy('number').limit(LUSTRED).select('id');
  const pieces = await piecesById(
    base,
    ids.map(({ id }) => id),
  );
  for (const piece of pieces)
    await correctPiece(base, studio.members[0]!, piece.id, piece.version, {
      ...piece,
      coats: [
        ...piece.coats,
        {
          ...PLAIN_COAT,
          ...{ glazeId: studio.glazes.get('Brass Plate')!, method: 'brush', times: 1, side: 'outside' },
          ...{ from: 0.72, to: 0.78 },
        },
      ],
    });
  return storiesOf(pieces);
}

async function refired(base: Db): Promise<Load> {
  const pitted = await base('reading as r')
    .join('reading_defect as d', 'd.reading_id', 'r.id')
    .join('piece as p', 'p.id', 'r.piece_id')
    .where({ 'd.defect': 'pitting' })
    .where('d.severity', '>=', 2)
    .whereIn('p.form', ['cup', 'bowl', 'ring strip'])
    .whereNot('p.fate', 'discard')
    .orderBy('p.number')
    .distinct('p.id', 'p.number')
    .limit(REFIRED);
  const pieces = await piecesById(
    base,
    pitted.map(({ id }) => id),
  );
  if (pieces.length < REFIRED) throw new Error(`only ${pieces.length} pitted pieces to fire again`);
  return storiesOf(pieces);
}

function storiesOf(pieces: Awaited<ReturnType<typeof piecesById>>): Load {
  return pieces.map(({ id, form, body }) => [
    { form, body, coats: [], firing: null, maker: 0, madeDaysAgo: 0 },
    id,
  ]);
}
