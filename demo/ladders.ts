import { analyse } from '../src/core/chemistry';
import { crazingRound } from '../src/core/rounds';
import { newId, type Db } from '@/records/platform';
import { openingOf, recordPiece } from '@/records/openings';
import { glazeCells, roundPage, saveRound } from '@/records/rounds';
import type { PlannedPiece } from './scenario/plan';
import { RECIPES } from './scenario/recipes';
import { dayAgo, DAY, LADDER_BASE, type Studio } from './studio';

const BODY = 'Viaduct Porcelain';

/** Lays a crazing ladder out as the teacher would, on the porcelain, with twins. */
async function ladder(base: Db, studio: Studio, glaze: string, daysAgo: number): Promise<string> {
  const { cells, rows, columns } = crazingRound({ name: glaze, lines: RECIPES[glaze]! }, 5);
  const id = newId();
  await saveRound(base, studio.members[1]!, {
    id,
    name: `${glaze} crazing ladder`,
    kind: 'crazing',
    setup: {},
    shape: 'grid',
    rows,
    columns,
    form: 'tile',
    formId: null,
    heightMm: 100,
    widthMm: 60,
    twins: 2,
    cone: '6',
    atmosphere: 'oxidation',
    dueOn: dayAgo(studio.now, daysAgo - 16),
    colour: '#dfe2d6',
    unlessUnderWay: false,
    cells: cells.map(({ label, row, column, words, lines }) => ({
      label,
      row,
      column,
      words,
      parts: {},
      recipe: lines!,
      stack: null,
      bodyId: studio.bodies.get(BODY)!,
      texture: null,
      block: 0,
      cone: '6',
      atmosphere: 'oxidation',
    })),
  });
  const at = new Date(studio.now.getTime() - daysAgo * DAY);
  await base('round').where({ id }).update({ created_at: at });
  return id;
}

/** The ladder that solved the crazing on the porcelain: made and glazed, ready for its firing. */
export async function makeLadder(
  base: Db,
  studio: Studio,
  daysAgo: number,
): Promise<(readonly [PlannedPiece, string])[]> {
  const id = await ladder(base, studio, LADDER_BASE, daysAgo);
  const { cells } = await roundPage(base, id);
  await glazeCells(
    base,
    studio.members[1]!,
    cells.map((cell) => cell.id),
  );
  return cells.flatMap((cell) => {
    studio.tests.set(cell.stack[0]!.glaze, analyse(cell.recipe!).expansion.appen!);
    return cell.pieces.map(
      (piece) =>
        [
          { form: 'tile', body: BODY, coats: [], firing: 'ladder', maker: 1, madeDaysAgo: daysAgo },
          piece.id,
        ] as const,
    );
  });
}

/** The next ladder, half of it glazed: what the teacher is in the middle of. */
export async function beginLadder(base: Db, studio: Studio): Promise<void> {
  const id = await ladder(base, studio, 'Kettle Blue', 10);
  const { cells } = await roundPage(base, id);
  await glazeCells(
    base,
    studio.members[1]!,
    cells.slice(0, 2).map((cell) => cell.id),
  );
}

/** A cup that came out sound and crazed on the shelf five months later. */
export async function crazeLate(base: Db, studio: Studio): Promise<void> {
  const months = 150;
  const row = await base('zone as z')
    .join('piece as p', 'p.id', 'z.piece_id')
    .join('body as b', 'b.id', 'p.body_id')
    .join('reading as r', 'r.zone_id', 'z.id')
    .where({ 'b.name': BODY, 'z.side': 'inside' })
    .whereNotExists(base('reading_defect as d').whereRaw('d.reading_id = r.id'))
    .where('r.at', '<', new Date(studio.now.getTime() - months * DAY))
    .orderBy('p.number')
    .first('z.id', 'z.firing_id', 'z.piece_id', 'r.id as follows', 'r.surface', 'r.movement');
  if (!row) return;
  const { firing } = await openingOf(base, row.firing_id);
  await recordPiece(
    base,
    studio.members[1]!,
    {
      pieceId: row.piece_id,
      firingId: firing.id,
      state: 'read',
      fate: null,
      readings: [
        {
          id: newId(),
          zoneId: row.id,
          follows: row.follows,
          stage: 'after',
          surface: row.surface,
          movement: row.movement,
          colour: null,
          note: 'crazed on the shelf',
          boilTest: null,
          ageDays: months,
          defects: [{ defect: 'crazing', severity: 2, place: 'everywhere' }],
        },
      ],
    },
    new Date(studio.now.getTime() - 20 * DAY),
  );
}
