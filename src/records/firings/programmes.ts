import type { Segment } from '@/core/firing';
import { recordChange } from '@/records/platform/changes';
import { fromJson, inTransaction, type Db } from '@/records/platform/db';
import { updateRow, refuseTakenName } from '@/records/materials/glazes';

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

/** The studio's programmes by name. */
export async function listProgrammes(base: Db): Promise<Programme[]> {
  const rows = await base('programme as p')
    .whereNull('p.ended_at')
    .orderBy('p.name')
    .select('p.*', base('firing as f').count('*').whereRaw('f.programme_id = p.id').as('firings'));
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    segments: fromJson<Segment[]>(row.segments),
    note: row.note,
    version: row.version,
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
  const row = { name: draft.name, segments: JSON.stringify(draft.segments), note: draft.note };
  await inTransaction(base, async (trx) => {
    const known = await trx('programme').where({ id: draft.id }).forUpdate().first('id');
    if (version === null && known) return;
    await refuseTakenName(trx, 'programme', draft);
    if (version !== null) return updateRow(trx, memberId, 'programme', draft.id, version, row);
    await trx('programme').insert({ id: draft.id, ...row });
    await recordChange(trx, memberId, 'programme', draft.id, null, row);
  });
}
