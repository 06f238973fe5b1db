import type { Fate } from '@/core/vocabulary';
import { newId, type Db } from '@/records/platform';
import { advanceFiring, loadPieces, saveFiring } from '@/records/firings';
import { openingOf, type OpeningPiece, recordPiece } from '@/records/openings';
import { writeLog } from './firingLog';
import { random, type Random } from './random';
import { keepScene } from './samples';
import { resultOf, type Result } from './scenario/causes';
import type { PlannedFiring, PlannedPiece } from './scenario/plan';
import { PROGRAMMES } from './scenario/programmes';
import { sceneOf } from './scene';
import { ago, dayAgo, LADDER_BASE, type Studio } from './studio';

/** Loads, fires, logs and opens one firing of the story, as far as the story has got. */
export async function fire(
  base: Db,
  studio: Studio,
  plan: PlannedFiring,
  load: readonly (readonly [PlannedPiece, string])[],
): Promise<void> {
  const technician = studio.members[0]!;
  const id = newId();
  const { kind, cone, atmosphere, remarks, segments } = plan;
  const saved = Object.entries(PROGRAMMES).find(([, steps]) => steps === segments)?.[0];
  await saveFiring(
    base,
    technician,
    {
      id,
      kilnId: studio.kilns.get(plan.kiln)!,
      kind,
      cone,
      atmosphere,
      plannedOn: dayAgo(studio.now, plan.daysAgo),
      startsAt: plan.kiln === 'two' ? '07:00' : '08:00',
      programmeId: saved ? studio.programmes.get(saved)! : null,
      segments: saved ? segments : null,
      programme: saved ? saved : plan.programme,
      remarks,
    },
    null,
  );
  const shelves = plan.kiln === 'two' ? 4 : 5;
  const places = load.map(([, pieceId], i) => ({
    pieceId,
    shelf: 1 + Math.floor((i * shelves) / Math.max(1, load.length)),
  }));
  await loadPieces(base, technician, id, places);
  if (plan.state === 'loading') return;
  await advanceFiring(base, technician, id, 'firing', { at: ago(studio, plan.daysAgo, 7) });
  await advanceFiring(base, technician, id, 'cooling', { at: ago(studio, plan.daysAgo, 17) });
  await writeLog(base, technician, {
    firingId: id,
    kiln: plan.kiln,
    cone,
    segments,
    daysAgo: plan.daysAgo,
    opened: plan.state !== 'cooling',
    reduction: atmosphere === 'reduction',
  });
  const story = new Map(load.map(([piece, pieceId]) => [pieceId, piece]));
  const { firing, pieces } = await openingOf(base, id);
  const outcome = (piece: OpeningPiece) => outcomeOf(studio, plan, story.get(piece.id)!, piece);
  if (plan.state === 'cooling') {
    for (const piece of pieces) await keepScene(piece.label, sceneOf(piece, firing, outcome(piece)));
    return;
  }
  const opened = ago(studio, plan.daysAgo - 1, 9);
  await advanceFiring(base, technician, id, 'open', { at: opened });
  for (const piece of pieces) {
    const next = random(`${piece.label} fate`);
    const readings = [...outcome(piece)].map(([zoneId, result]) => ({
      id: newId(),
      zoneId,
      follows: null,
      stage: 'after' as const,
      colour: null,
      boilTest: null,
      ...result,
    }));
    await recordPiece(
      base,
      studio.members[0]!,
      { pieceId: piece.id, firingId: id, state: 'read', fate: fateOf(piece.form, readings, next), readings },
      opened,
    );
  }
  await advanceFiring(base, technician, id, 'closed', { at: opened });
}

/** What the causes of the story make of each zone of a piece. */
function outcomeOf(
  studio: Studio,
  plan: PlannedFiring,
  planned: PlannedPiece,
  piece: OpeningPiece,
): Map<string, Result> {
  const names = new Map([...studio.glazes].map(([name, glazeId]) => [glazeId, name]));
  const next = random(piece.label);
  return new Map(
    piece.zones.map((zone) => {
      const nameOf = (glaze: string) => names.get(glaze) ?? LADDER_BASE;
      // What a slip with nothing on it comes to follows from the ground that it makes.
      const slips = zone.stack.filter(({ slip }) => slip);
      const isBare = slips.length === zone.stack.length;
      const facts = {
        stack: (isBare ? [] : zone.stack).map((layer) => ({
          glaze: nameOf(layer.glaze),
          expansion: studio.tests.get(layer.glaze),
          dips: layer.way === 'brushed' ? layer.times / 3 : layer.times,
        })),
        ground: [...(isBare ? slips.map(({ glaze }) => nameOf(glaze)).reverse() : []), zone.ground].join(
          ' over ',
        ),
        body: planned.body,
        reduction: plan.atmosphere === 'reduction',
        cone: plan.cone,
        underReduced: plan.underReduced ?? false,
        slipOnDryClay: planned.slipOnDryClay ?? false,
        isRefired: plan.kind === 'refire',
      };
      return [zone.id, resultOf(facts, next)];
    }),
  );
}

/** Tests are kept whatever they show; ware goes by its worst fault. */
function fateOf(form: OpeningPiece['form'], readings: readonly Result[], next: Random): Fate {
  const defects = readings.flatMap((reading) => reading.defects);
  const worst = Math.max(0, ...defects.map((defect) => defect.severity));
  if (form === 'tile' || form === 'ring strip') return worst === 3 && next() < 0.08 ? 'refire' : 'keep';
  if (worst < 2) return next() < 0.7 ? 'first' : 'give';
  if (worst === 2) return 'second';
  if (defects.some((one) => one.defect === 'running')) return 'grind';
  return next() < 0.3 ? 'discard' : next() < 0.5 ? 'reglaze' : 'second';
}
