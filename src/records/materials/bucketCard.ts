import type { Line } from '@/core/chemistry';
import { fromJson, type Db } from '@/records/platform/db';
import { listGlazes, type Glaze } from './glazes';

/** How a glaze came out alone on one ground in one kind of firing. */
export interface CardLook {
  readonly ground: string;
  /** How often it was laid on. */
  readonly times: number;
  readonly cone: string;
  readonly atmosphere: string;
  readonly swatchHash: string | null;
  readonly colour: string | null;
  readonly surface: string | null;
  readonly movement: string | null;
  readonly proofs: number;
}

export interface BucketCardFacts {
  readonly glaze: Glaze;
  readonly materials: readonly string[];
  /** Best proved first, at most six. */
  readonly looks: readonly CardLook[];
}

/** What stands on the card of a bucket: how to use it, and how it comes out. Null when there is no such glaze. */
export async function bucketCard(base: Db, glazeId: string): Promise<BucketCardFacts | null> {
  const glaze = (await listGlazes(base, { tests: true })).find((one) => one.id === glazeId);
  return glaze ? cardOf(base, glaze) : null;
}

/** The cards of all glazes in use, in the studio's own order. */
export async function bucketCards(base: Db): Promise<BucketCardFacts[]> {
  const cards: BucketCardFacts[] = [];
  for (const glaze of await listGlazes(base)) cards.push(await cardOf(base, glaze));
  return cards;
}

async function cardOf(base: Db, glaze: Glaze): Promise<BucketCardFacts> {
  const recipe = await base('glaze_version').where({ id: glaze.versionId }).first('recipe');
  const looks = await base('entry as e')
    .join('headword as h', 'h.id', 'e.headword_id')
    .join('ground as g', 'g.id', 'e.ground_id')
    .where({ 'h.depth': 1, 'h.top_glaze_id': glaze.id, 'e.firings': 1 })
    .where('e.proofs', '>', 0)
    .orderBy([{ column: 'e.proofs', order: 'desc' }, 'g.name', 'e.top_times'])
    .limit(6)
    .select(
      'g.name as ground',
      'e.top_times as times',
      'e.cone',
      'e.atmosphere',
      'e.swatch_hash as swatchHash',
      'e.colour',
      'e.proofs',
      base.raw("json_value(e.summary, '$.surface') as surface"),
      base.raw("json_value(e.summary, '$.movement') as movement"),
    );
  const lines = recipe?.recipe ? fromJson<Line[]>(recipe.recipe) : [];
  return { glaze, materials: lines.map((line) => line.material), looks };
}
