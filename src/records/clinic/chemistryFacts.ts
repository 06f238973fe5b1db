import type { Message } from '@/core/units';
import { coolingBelowTop, spoken, spokenEvidence, type Evidence, type SpokenFacts } from '@/core/clinic';
import type { Stack } from '@/core/coats';
import type { DefectId } from '@/core/vocabulary';
import { bodyFigure, firedThickness, type BodyFigure } from '@/core/fit';
import type { Db } from '@/records/platform/db';
import { fitEvidence } from '@/records/materials/fitTiles';
import { curveOf } from '@/records/firings/logs';
import type { PieceFiring, PiecePage } from '@/records/pieces/piecePages';
import type { RecipeInUse } from '@/records/materials/recipes';

/** What chemistry and firing say of the worst zone of a piece. */
export interface ChemistryFacts {
  readonly sentences: readonly Message[];
  /** What the bucket and the cooling add to the evidence. */
  readonly evidence: Evidence;
  /** The figure that its clay is judged by; null when none is known. */
  readonly body: BodyFigure | null;
  /** Glazes of the worst zone, bottom first. */
  readonly layers: readonly { readonly glazeId: string; readonly name: string; readonly times: number }[];
  /** The recipe of its glaze when it is one glaze alone. */
  readonly recipe: RecipeInUse | null;
}

interface Asked {
  readonly defect: DefectId;
  readonly piece: PiecePage;
  readonly firing: PieceFiring;
  /** The worst zone without its slips. */
  readonly stack: Stack;
  readonly recipes: readonly RecipeInUse[];
  /** 1e-6/K by glaze id. */
  readonly expansions: ReadonlyMap<string, number>;
  readonly body: {
    readonly name: string;
    readonly expansion: number | null;
    readonly cone_to: string | null;
  };
}

/** Looks up recipe, bucket, learned limit, witness cones and cooling of a zone, and says what they mean. */
export async function chemistryFactsOf(base: Db, asked: Asked): Promise<ChemistryFacts> {
  const { defect, piece, firing, stack, recipes, expansions, body } = asked;
  const [{ learned }, curve, buckets] = await Promise.all([
    fitEvidence(base),
    curveOf(base, firing.firingId),
    bucketsOf(base, piece),
  ]);
  const figure = bodyFigure(body.expansion, learned.get(piece.bodyId) ?? null);
  const recipeOf = new Map(recipes.map((one) => [one.glazeId, one]));
  const names = new Map(piece.coats.map((coat) => [coat.glazeId, coat.glazeName]));
  const dips = stack.reduce((sum, { times }) => sum + times, 0);
  const known = stack.every(({ glaze }) => expansions.has(glaze));
  const facts: SpokenFacts = {
    defect,
    layers: stack.map(({ glaze }) => ({
      name: names.get(glaze) ?? '?',
      lines: recipeOf.get(glaze)?.lines ?? [],
      bucket: buckets.get(glaze) ?? null,
    })),
    body: { name: body.name, figure, coneTo: body.cone_to },
    glazeExpansion:
      known && dips > 0
        ? stack.reduce((sum, { glaze, times }) => sum + expansions.get(glaze)! * (times / dips), 0)
        : null,
    thicknessMm: firedThickness(stack),
    firing: { cone: firing.cone, achievedCone: firing.achievedCone, cooling: coolingBelowTop(curve) },
  };
  return {
    sentences: spoken(facts),
    evidence: spokenEvidence(facts),
    body: figure,
    layers: stack.map(({ glaze, times }) => ({ glazeId: glaze, name: names.get(glaze) ?? '?', times })),
    recipe: stack.length === 1 ? (recipeOf.get(stack[0]!.glaze) ?? null) : null,
  };
}

/** Specific gravity of the buckets a piece was dipped in, as last measured before it, and what is usual for each glaze. */
async function bucketsOf(base: Db, piece: PiecePage) {
  const ids = piece.coats.flatMap(({ batchId }) => batchId ?? []);
  const rows: { glaze_id: string; id: string; code: string; gravity: number | null }[] = await base(
    'batch as b',
  )
    .join('glaze_version as v', 'v.id', 'b.glaze_version_id')
    .whereIn('v.glaze_id', [...new Set(piece.coats.map(({ glazeId }) => glazeId))])
    .whereNull('b.ended_at')
    .select(
      'v.glaze_id',
      'b.id',
      'b.code',
      base.raw(
        `coalesce((select m.specific_gravity from batch_measure m where m.batch_id = b.id and m.at <= ?
          order by m.at desc limit 1), b.specific_gravity) as gravity`,
        [piece.madeAt],
      ),
    );
  return new Map(
    rows.flatMap((row) => {
      const others = rows.flatMap(({ glaze_id, id, gravity }) =>
        glaze_id === row.glaze_id && id !== row.id && gravity !== null ? [gravity] : [],
      );
      if (!ids.includes(row.id) || row.gravity === null || others.length === 0) return [];
      return [[row.glaze_id, { code: row.code, gravity: row.gravity, usual: middle(others) }] as const];
    }),
  );
}

function middle(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return (sorted[(sorted.length - 1) >> 1]! + sorted[sorted.length >> 1]!) / 2;
}
