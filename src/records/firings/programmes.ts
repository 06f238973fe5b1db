import { rowsOf } from '@/records/platform/joins';
import type { ProgrammeRow } from '@/records/platform/tables';
import { type Mapping, json, readRow } from '@/records/platform/mapping';
import type { Segment } from '@/core/firing';
import { inTransaction, type Db } from '@/records/platform/db';
import { updateRow, refuseTakenName, insertRow } from '@/records/platform/write';

export interface ProgrammeDraft {
  readonly id: string;
  readonly name: string;
  readonly segments: readonly Segment[];
  readonly note: string;
}

export interface Programme extends ProgrammeDraft {
  readonly version: number;
  /** Firings that followed it, whatever it was then. */
  readonly firings: number;
}

const PROGRAMME: Mapping<ProgrammeDraft & Pick<Programme, 'version'>, ProgrammeRow> = {
  id: 'id',
  name: 'name',
  segments: json<readonly Segment[]>()('segments'),
  note: 'note',
  version: 'version',
};

/** The studio's programmes by name. */
export async function listProgrammes(base: Db): Promise<Programme[]> {
  const query = base('programme as p')
    .whereNull('p.ended_at')
    .orderBy('p.name')
    .select(base('firing as f').count('*').whereRaw('f.programme_id = p.id').as('firings'));
  const rows = await rowsOf<{ p: 'programme' }, { readonly firings: number | string }>()(query, 'p.*');
  return rows.map((row) => ({
    ...readRow(PROGRAMME, row),
    firings: Number(row.firings),
  }));
}

/** Saves a programme; firings that followed it keep the steps they were fired with. */
export async function saveProgramme(
  base: Db,
  memberId: string,
  draft: ProgrammeDraft,
  version: number | null,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const known = await trx('programme').where({ id: draft.id }).forUpdate().first('id');
    if (version === null && known) return;
    await refuseTakenName(trx, 'programme', draft);
    if (version !== null) return updateRow(trx, memberId, 'programme', PROGRAMME, { ...draft, version });
    await insertRow(trx, memberId, 'programme', PROGRAMME, draft);
  });
}
