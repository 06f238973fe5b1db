import type { MaterialRow } from '@/records/platform/tables';
import { type Mapping, json, readRow } from '@/records/platform/mapping';
import { materialBook, type Analysis, type MaterialBook } from '@/core/chemistry';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, newId, type Db } from '@/records/platform/db';
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
  const [own, aliases] = await Promise.all([listMaterials(base), listAliases(base)]);
  return materialBook(own, aliases);
}

/** What the studio calls materials beside their names: names of materials by what is written. */
export async function listAliases(base: Db): Promise<Record<string, string>> {
  const rows = await base('material_alias').select('name', 'material');
  return Object.fromEntries(rows.map(({ name, material }) => [name, material]));
}

/** A written name, and the material that it means; null when it means none any more. */
export interface MaterialAlias {
  readonly name: string;
  readonly material: string | null;
}

/** Remembers that a written name means a material, or forgets it; said again it means what was said last. */
export async function rememberAlias(
  base: Db,
  memberId: string,
  { name, material }: MaterialAlias,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const before = await trx('material_alias').where({ name }).forUpdate().first();
    if ((before?.material ?? null) === material) return;
    const id = before?.id ?? newId();
    if (material === null) await trx('material_alias').where({ id }).delete();
    else await trx('material_alias').insert({ id, name, material }).onConflict('id').merge();
    const was = before ? { name: before.name, material: before.material } : null;
    await recordChange(
      trx,
      memberId,
      'material alias',
      id,
      was,
      material === null ? null : { name, material },
    );
  });
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
