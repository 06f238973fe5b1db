import type { MaterialRow } from '@/records/platform/tables';
import { type Mapping, json, readRow } from '@/records/platform/mapping';
import { materialBook, type Analysis, type MaterialBook } from '@/core/chemistry';
import { inTransaction, type Db } from '@/records/platform/db';
import { updateRow, refuseTakenName, insertRow } from '@/records/platform/write';

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

const MATERIAL: Mapping<StudioMaterial, MaterialRow> = {
  id: 'id',
  name: 'name',
  analysis: json<Analysis>()('analysis'),
  loi: 'loi',
  density: 'density',
  source: 'source',
  version: 'version',
};

/** The studio's own materials, by name. */
export async function listMaterials(base: Db): Promise<StudioMaterial[]> {
  const rows = await base('material').whereNull('ended_at').orderBy('name').select('*');
  return rows.map((row) => readRow(MATERIAL, row));
}

/** The built-in materials with the studio's own before them. */
export async function studioBook(base: Db): Promise<MaterialBook> {
  return materialBook(await listMaterials(base));
}

/** Adds a material, or changes one under its optimistic lock. */
export async function saveMaterial(
  base: Db,
  memberId: string,
  draft: MaterialDraft,
  version: number | null,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    await refuseTakenName(trx, 'material', draft);
    if (version !== null) return updateRow(trx, memberId, 'material', MATERIAL, { ...draft, version });
    if (await trx('material').where({ id: draft.id }).first('id')) return;
    await insertRow(trx, memberId, 'material', MATERIAL, draft);
  });
}
