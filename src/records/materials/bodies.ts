import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { updateRow, refuseTakenName } from './glazes';

export interface Body {
  readonly id: string;
  readonly name: string;
  readonly colourOxidation: string;
  readonly colourReduction: string;
  readonly iron: 'none' | 'low' | 'high';
  readonly coarse: boolean;
  readonly coneFrom: string;
  readonly coneTo: string;
  /** Percent, wet to fired at the top of its range; null when not measured. */
  readonly shrinkage: number | null;
  /** Percent of dry weight. */
  readonly absorption: number | null;
  /** 1e-6/K; null when not measured. */
  readonly expansion: number | null;
  readonly note: string;
  readonly version: number;
}

export type BodyDraft = Omit<Body, 'version'>;

/** All bodies in use, by name. */
export async function listBodies(base: Db): Promise<Body[]> {
  const rows = await base('body').whereNull('ended_at').orderBy('name');
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    colourOxidation: row.colour_oxidation,
    colourReduction: row.colour_reduction,
    iron: row.iron,
    coarse: Boolean(row.coarse),
    coneFrom: row.cone_from,
    coneTo: row.cone_to,
    shrinkage: row.shrinkage,
    absorption: row.absorption,
    expansion: row.expansion,
    note: row.note,
    version: row.version,
  }));
}

/** Adds a body, or changes one under its optimistic lock. */
export async function saveBody(
  base: Db,
  memberId: string,
  draft: BodyDraft,
  version: number | null,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    await refuseTakenName(trx, 'body', draft);
    const row = {
      name: draft.name,
      colour_oxidation: draft.colourOxidation,
      colour_reduction: draft.colourReduction,
      iron: draft.iron,
      coarse: draft.coarse,
      cone_from: draft.coneFrom,
      cone_to: draft.coneTo,
      shrinkage: draft.shrinkage,
      absorption: draft.absorption,
      expansion: draft.expansion,
      note: draft.note,
    };
    if (version !== null) return updateRow(trx, memberId, 'body', draft.id, version, row);
    if (await trx('body').where({ id: draft.id }).first('id')) return;
    await trx('body').insert({ id: draft.id, ...row });
    await recordChange(trx, memberId, 'body', draft.id, null, row);
  });
}

/** The grounds proofs stand on, most used first. */
export async function listGrounds(base: Db): Promise<{ id: string; name: string; proofs: number }[]> {
  return base('ground as g')
    .join('entry as e', 'e.ground_id', 'g.id')
    .groupBy('g.id', 'g.name')
    .orderBy([{ column: 'proofs', order: 'desc' }, 'g.name'])
    .select('g.id', 'g.name', base.raw('cast(sum(e.proofs) as signed) as proofs'));
}
