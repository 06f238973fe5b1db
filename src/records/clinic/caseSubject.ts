import { firstOf } from '@/records/platform/joins';
import type { Knex } from 'knex';
import { CASE_SUBJECTS, type CaseSubjectKind } from '@/core/vocabulary';
import type { Db } from '@/records/platform/db';

/** Something wider than a piece that a defect may be about. */
export interface CaseSubject {
  readonly kind: CaseSubjectKind;
  readonly id: string;
  /** As people say it. */
  readonly words: string;
  /** Its own page. */
  readonly href: string;
}

/** Where each kind is found: its words, and its page. */
const FOUND: Readonly<
  Record<CaseSubject['kind'], (base: Db, id: string) => Promise<Omit<CaseSubject, 'kind' | 'id'> | null>>
> = {
  headword: (base, id) => named(base('headword').where({ id }).first('text as words'), `/entry/${id}`),
  glaze: (base, id) => named(base('glaze').where({ id }).first('name as words'), `/glazes/${id}`),
  body: (base, id) => named(base('body').where({ id }).first('name as words'), `/clays/${id}`),
  kiln: (base, id) => named(base('kiln').where({ id }).first('name as words'), `/kilns/${id}`),
  firing: (base, id) =>
    named(
      base('firing as f')
        .join('kiln as k', 'k.id', 'f.kiln_id')
        .where('f.id', id)
        .first(base.raw("concat(k.name, ' ', f.number) as words")),
      `/firings/${id}/summary`,
    ),
  batch: async (base, id) => {
    const row = await firstOf<{ b: 'batch'; g: 'glaze' }>()(
      base('batch as b')
        .join('glaze_version as v', 'v.id', 'b.glaze_version_id')
        .join('glaze as g', 'g.id', 'v.glaze_id')
        .where('b.id', id),
      'g.id',
      'g.name',
      'b.code',
    );
    return row ? { words: `${row.name}, batch ${row.code}`, href: `/glazes/${row.id}` } : null;
  },
};

async function named(query: PromiseLike<{ words: string } | undefined>, href: string) {
  const row = await query;
  return row ? { words: row.words, href } : null;
}

/** Reads what a case is about; null when it is not understood or not there. */
export async function findCaseSubject(
  base: Db,
  text: string | null | undefined,
): Promise<CaseSubject | null> {
  const [kind, id] = (text ?? '').split('.') as [CaseSubject['kind'], string | undefined];
  if (!CASE_SUBJECTS.includes(kind) || !id) return null;
  const found = await FOUND[kind](base, id);
  return found && { kind, id, ...found };
}

/** Narrows a query over zones z, their entries e, headwords h and grounds g to what a case is about. */
export function narrowToSubject(query: Knex.QueryBuilder, about: Pick<CaseSubject, 'kind' | 'id'>): void {
  const { kind, id } = about;
  if (kind === 'headword') void query.where('h.id', id);
  if (kind === 'firing') void query.where('z.firing_id', id);
  if (kind === 'body') void query.where('g.body_id', id);
  if (kind === 'glaze')
    void query.where((either) => void either.where('h.top_glaze_id', id).orWhere('h.base_glaze_id', id));
  if (kind === 'kiln')
    void query.whereIn(
      'z.firing_id',
      (firings) => void firings.from('firing').where('kiln_id', id).select('id'),
    );
  if (kind === 'batch')
    void query.whereIn(
      'z.piece_id',
      (coats) => void coats.from('coat').where('batch_id', id).select('piece_id'),
    );
}
