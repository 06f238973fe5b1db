import { materialBook, type Analysis, type MaterialBook } from '@/core/chemistry';
import { recordChange } from '@/records/platform/changes';
import { fromJson, inTransaction, type Db } from '@/records/platform/db';
import { updateRow, refuseTakenName } from './glazes';

/** A material of the studio's own; one with the name of a built-in material stands before it. */
export interface StudioMaterial {
  readonly id: string;
  readonly name: string;
  /** Weight % of the raw material as weighed. */
  readonly analysis: Analysis;
  /** Weight % lost in the fire. */
  readonly loi: number;
  /** g/cm³; null when not known. */
  readonly density: number | null;
  /** Where the analysis comes from. */
  readonly source: string;
  readonly version: number;
}

export type MaterialDraft = Omit<StudioMaterial, 'version'>;

/** The studio's own materials, by name. */
export async function listMaterials(base: Db): Promise<StudioMaterial[]> {
  const rows = await base('material').whereNull('ended_at').orderBy('name');
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    analysis: fromJson<Analysis>(row.analysis),
    loi: row.loi,
    density: row.density,
    source: row.source,
    version: row.version,
  }));
}

/** The built-in materials with the studio's own before them. */
export async function studioBook(base: Db): Promise<MaterialBook> {
  return materialBook(await listMaterials(base));
}

/** Adds a material, or changes one under its optimistic lock. */
export async function saveMaterial(
  base: Db,
  memberId: string,
  { id, analysis, ...draft }: MaterialDraft,
  version: number | null,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    await refuseTakenName(trx, 'material', { id, name: draft.name });
    const row = { ...draft, analysis: JSON.stringify(analysis) };
    if (version !== null) return updateRow(trx, memberId, 'material', id, version, row);
    if (await trx('material').where({ id }).first('id')) return;
    await trx('material').insert({ id, ...row });
    await recordChange(trx, memberId, 'material', id, null, row);
  });
}
