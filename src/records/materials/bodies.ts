import type { ClayMix, Cone } from '@/core/vocabulary';
import { inTransaction, type Db } from '@/records/platform/db';
import { flag, json, readRow, type Mapping } from '@/records/platform/mapping';
import type { BodyRow } from '@/records/platform/tables';
import { insertRow, refuseTakenName, updateRow } from '@/records/platform/write';

/** What a clay is made of that is no clay by itself. */
export interface MadeOf {
  readonly how: ClayMix;
  readonly bodyIds: readonly string[];
  readonly stain: string | null;
  readonly percent: number | null;
}

export interface Body {
  readonly id: string;
  readonly name: string;
  readonly colourOxidation: string;
  readonly colourReduction: string;
  /** Null when nobody said. */
  readonly iron: 'none' | 'low' | 'high' | null;
  readonly coarse: boolean;
  /** The range it is made for; null when not known. */
  readonly coneFrom: Cone | null;
  readonly coneTo: Cone | null;
  /** Percent, wet to fired at the top of its range; null when not measured. */
  readonly shrinkage: number | null;
  /** Percent of dry weight. */
  readonly absorption: number | null;
  /** 1e-6/K; null when not measured. */
  readonly expansion: number | null;
  readonly note: string;
  /** Null for a clay by itself. */
  readonly madeOf: MadeOf | null;
  readonly version: number;
}

/** What is said of a clay; what it is made of stays as it was made. */
export type BodyDraft = Omit<Body, 'version' | 'madeOf'>;

export const BODY: Mapping<Body, BodyRow> = {
  id: 'id',
  name: 'name',
  colourOxidation: 'colour_oxidation',
  colourReduction: 'colour_reduction',
  iron: 'iron',
  coarse: flag('coarse'),
  coneFrom: 'cone_from',
  coneTo: 'cone_to',
  shrinkage: 'shrinkage',
  absorption: 'absorption',
  expansion: 'expansion',
  note: 'note',
  madeOf: json<MadeOf | null>()('made_of'),
  version: 'version',
};

/** All bodies in use, by name. */
export async function listBodies(base: Db): Promise<Body[]> {
  const rows = await base('body').whereNull('ended_at').orderBy('name').select('*');
  return rows.map((row) => readRow(BODY, row));
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
    if (version !== null) return updateRow(trx, memberId, 'body', BODY, { ...draft, version });
    if (await trx('body').where({ id: draft.id }).first('id')) return;
    await insertRow(trx, memberId, 'body', BODY, draft);
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
