import { PLAIN_SEVERITY } from '@/core/vocabulary';
import type { Line } from '@/core/chemistry';
import type { RungOutcome } from '@/core/clinic';
import { type Db, fromJson } from '@/records/platform/db';

/** A rung of a ladder that was mixed and fired, with the round that it stood in. */
export interface FiredRung extends RungOutcome {
  /** The recipe as it was mixed. */
  readonly lines: readonly Line[];
  readonly round: { readonly id: string; readonly name: string };
}

/** What the crazing ladders of the studio gave on one clay: the read rungs with how many pieces crazed, newest round first. */
export async function firedRungs(base: Db, bodyId: string): Promise<FiredRung[]> {
  const rows: {
    words: string;
    recipe: string;
    round_id: string;
    name: string;
    read: number;
    crazed: number;
  }[] = await base('round_cell as c')
    .join('round as r', 'r.id', 'c.round_id')
    .join('piece as p', 'p.round_cell_id', 'c.id')
    .join(
      'reading as s',
      (join) => void join.on('s.piece_id', 'p.id').andOnNull('s.ended_at').andOnVal('s.stage', 'after'),
    )
    .leftJoin(
      'reading_defect as d',
      (join) =>
        void join
          .on('d.reading_id', 's.id')
          .andOnVal('d.defect', 'crazing')
          .andOn('d.severity', '>=', base.raw('?', [PLAIN_SEVERITY])),
    )
    .where({ 'r.kind': 'crazing', 'c.body_id': bodyId })
    .whereNull('r.ended_at')
    .whereNotNull('c.recipe')
    .groupBy('c.id', 'c.words', 'c.recipe', 'c.round_id', 'r.name', 'r.number', 'c.row_at', 'c.column_at')
    .orderBy([{ column: 'r.number', order: 'desc' }, 'c.row_at', 'c.column_at'])
    .select(
      'c.words',
      'c.recipe',
      'c.round_id',
      'r.name',
      base.raw('cast(count(distinct p.id) as signed) as `read`'),
      base.raw('cast(count(distinct if(d.reading_id is null, null, p.id)) as signed) as crazed'),
    );
  return rows.map(({ words, recipe, round_id: id, name, read, crazed }) => ({
    words,
    lines: fromJson<Line[]>(recipe),
    round: { id, name },
    read,
    crazed,
  }));
}
