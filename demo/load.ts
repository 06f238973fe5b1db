import { groundOf } from '../src/core/coats';
import { crazingRound } from '../src/core/rounds';
import { addBatch } from '../src/records/batches';
import { saveBody } from '../src/records/bodies';
import { newId, type Db } from '../src/records/db';
import { advanceFiring, loadPieces, saveFiring } from '../src/records/firings';
import { newestVersions, saveGlaze } from '../src/records/glazes';
import { addMember } from '../src/records/members';
import { openingOf } from '../src/records/openings';
import { savePieces } from '../src/records/pieces';
import type { Fate } from '../src/core/evidence';
import { recordPiece } from '../src/records/readings';
import { glazeCells, roundPage, saveRound } from '../src/records/rounds';
import { saveRecipe } from '../src/records/recipes';
import { random, type Random } from './random';
import { resultOf, type Result } from './scenario/causes';
import { saySegments, type Cone } from '../src/core/firing';
import { addPart, saveKiln } from '../src/records/kilns';
import { saveProgramme } from '../src/records/programmes';
import { writeLog } from './firingLog';
import { CLASS_FIRINGS, PARTS } from './scenario/kilns';
import { classFiring, FIRINGS, plannedPieces, type PlannedFiring, type PlannedPiece } from './scenario/plan';
import { RECIPES } from './scenario/recipes';
import { BODIES, GLAZES, KILNS, MEMBERS, PROGRAMMES } from './scenario/studio';

const DAY = 86_400_000;

interface Studio {
  readonly members: readonly string[];
  readonly bodies: ReadonlyMap<string, string>;
  readonly glazes: ReadonlyMap<string, string>;
  readonly batches: ReadonlyMap<string, string>;
  readonly kilns: ReadonlyMap<string, string>;
  readonly programmes: ReadonlyMap<string, string>;
  readonly now: Date;
}

function ago({ now }: Studio, days: number, hour = 9): Date {
  const at = new Date(now.getTime() - days * DAY);
  at.setHours(hour, 0, 0, 0);
  return at.getTime() > now.getTime() ? now : at;
}

function dayAgo(now: Date, days: number): string {
  return new Date(now.getTime() - days * DAY).toISOString().slice(0, 10);
}

/** Whether the demo is in this database already. */
export async function demoIsLoaded(base: Db): Promise<boolean> {
  return Boolean(await base('job').where({ name: 'demo loaded' }).first());
}

/**
 * Loads the first months of the Old Signalworks through the same records functions the application uses:
 * people, clays, glazes, kilns, then every piece, firing and opening in order.
 */
export async function loadDemo(base: Db, now: Date, say: (text: string) => void): Promise<void> {
  const studio = await loadStudio(base, now);
  const pieces = plannedPieces();
  const made = new Map<PlannedPiece, string>();
  for (const piece of pieces) made.set(piece, await makePiece(base, studio, piece));
  say(`${pieces.length} pieces made`);
  for (const { kiln, daysAgo } of CLASS_FIRINGS) {
    await fire(base, studio, classFiring(kiln, daysAgo), []);
  }
  say(`${CLASS_FIRINGS.length} firings of class work logged`);
  for (const firing of FIRINGS) {
    const inside = pieces.filter((piece) => piece.firing === firing.key);
    await fire(
      base,
      studio,
      firing,
      inside.map((piece) => [piece, made.get(piece)!] as const),
    );
    say(
      `${firing.kiln === 'two' ? 'Number Two' : 'The Stoker'}, cone ${firing.cone}: ${inside.length} pieces, ${firing.state}`,
    );
  }
  await planLadder(base, studio);
  await base('job').insert({ name: 'demo loaded', done: 1, total: 1, at: now });
}

async function loadStudio(base: Db, now: Date): Promise<Studio> {
  const members: string[] = [];
  for (const member of MEMBERS) members.push(await addMember(base, member));
  const named = async <T extends { name: string }>(
    rows: readonly T[],
    save: (row: T & { id: string }) => Promise<void>,
  ) => {
    const ids = new Map<string, string>();
    for (const row of rows) {
      const id = newId();
      await save({ ...row, id });
      ids.set(row.name, id);
    }
    return ids;
  };
  const technician = members[0]!;
  const bodies = await named(BODIES, (row) => saveBody(base, technician, row, null));
  const glazes = await named(GLAZES, (row) => saveGlaze(base, technician, row, null));
  const versions = await newestVersions(base);
  for (const [name, lines] of Object.entries(RECIPES)) {
    const glazeId = glazes.get(name)!;
    const follows = versions.get(glazeId)!;
    await saveRecipe(base, technician, { id: newId(), glazeId, follows, wasWritten: false, lines, note: '' });
  }
  const batches = new Map<string, string>();
  for (const [n, [name, glazeId]] of [...glazes].entries()) {
    const id = newId();
    const code = `${name.slice(0, 1)}${String(n + 1).padStart(2, '0')}`;
    const mixedOn = new Date(now.getTime() - 90 * DAY).toISOString().slice(0, 10);
    await addBatch(base, technician, { id, glazeId, code, mixedOn, specificGravity: 1.42 + (n % 5) / 100 });
    batches.set(name, id);
  }
  const kilns = new Map<string, string>();
  for (const { key, ...kiln } of KILNS) {
    const id = newId();
    await saveKiln(base, technician, { ...kiln, id }, null);
    kilns.set(key, id);
  }
  for (const { kiln, part, daysAgo, note } of PARTS)
    await addPart(base, technician, {
      id: newId(),
      kilnId: kilns.get(kiln)!,
      part,
      changedOn: dayAgo(now, daysAgo),
      note,
    });
  const programmes = new Map<string, string>();
  for (const [name, segments] of Object.entries(PROGRAMMES)) {
    programmes.set(name, newId());
    await saveProgramme(base, technician, { id: programmes.get(name)!, name, segments, note: '' }, null);
  }
  return { programmes, members, bodies, glazes, batches, kilns, now };
}

/** The crazing ladder for the porcelain, half of it glazed: what the teacher is in the middle of. */
async function planLadder(base: Db, studio: Studio): Promise<void> {
  const teacher = studio.members[1]!;
  const { cells, rows, columns } = crazingRound({ name: 'Lamp Clear', lines: RECIPES['Lamp Clear']! }, 5);
  const id = newId();
  await saveRound(base, teacher, {
    id,
    name: 'Lamp Clear away from crazing',
    kind: 'crazing',
    setup: {},
    shape: 'grid',
    rows,
    columns,
    form: 'tile',
    heightMm: 100,
    widthMm: 60,
    twins: 2,
    cone: '6',
    atmosphere: 'oxidation',
    dueOn: new Date(studio.now.getTime() + 6 * DAY).toISOString().slice(0, 10),
    colour: '#dfe2d6',
    unlessUnderWay: false,
    cells: cells.map(({ label, row, column, words, lines }) => ({
      label,
      row,
      column,
      words,
      parts: {},
      recipe: lines!,
      stack: null,
      bodyId: studio.bodies.get('Viaduct Porcelain')!,
    })),
  });
  const laid = await roundPage(base, id);
  await glazeCells(
    base,
    teacher,
    laid.cells.slice(0, 2).map((cell) => cell.id),
  );
}

async function makePiece(base: Db, studio: Studio, piece: PlannedPiece): Promise<string> {
  const size = {
    tile: [100, 60],
    'ring strip': [90, 45],
    arch: [80, 60],
    cup: [90, 80],
    bowl: [70, 150],
    plate: [220, 220],
    other: [120, 90],
  }[piece.form] as [number, number];
  const [saved] = await savePieces(
    base,
    studio.members[piece.maker]!,
    {
      form: piece.form,
      heightMm: size[0],
      widthMm: size[1],
      bodyId: studio.bodies.get(piece.body)!,
      split: piece.coats.some((coat) => coat.side === 'left' || coat.side === 'right'),
      note: piece.note ?? '',
      coats: piece.coats.map((coat, i) => ({
        glazeId: studio.glazes.get(coat.glaze)!,
        batchId: studio.batches.get(coat.glaze) ?? null,
        method: coat.method ?? 'dip',
        times: coat.times,
        seconds: coat.method === 'brush' ? null : 3,
        side: coat.side ?? 'outside',
        from: coat.from,
        to: coat.to,
        dryBefore: i > 0 ? true : null,
        wiped: false,
        firingId: null,
      })),
    },
    [newId()],
    ago(studio, piece.madeDaysAgo, 14),
  );
  return saved!.id;
}

async function fire(
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
      programme: saved ? `${saved}: ${saySegments(segments)}` : plan.programme,
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
    cone: cone as Cone,
    segments,
    daysAgo: plan.daysAgo,
    opened: plan.state !== 'cooling',
    reduction: atmosphere === 'reduction',
  });
  if (plan.state === 'cooling') return;
  const opened = ago(studio, plan.daysAgo - 1, 9);
  await advanceFiring(base, technician, id, 'open', { at: opened });
  const story = new Map(load.map(([piece, pieceId]) => [pieceId, piece]));
  const names = new Map([...studio.glazes].map(([name, glazeId]) => [glazeId, name]));
  for (const piece of (await openingOf(base, id)).pieces) {
    const planned = story.get(piece.id)!;
    const next = random(piece.label);
    const readings = piece.zones.map((zone) => {
      const { stack } = groundOf(piece.bodyId, zone.stack);
      const result = resultOf(
        {
          stack: stack.map((layer) => ({
            glaze: names.get(layer.glaze)!,
            dips: layer.way === 'brushed' ? layer.times / 3 : layer.times,
          })),
          ground: zone.ground,
          body: planned.body,
          reduction: plan.atmosphere === 'reduction',
          cone: plan.cone,
          underReduced: plan.underReduced ?? false,
          slipOnDryClay: planned.slipOnDryClay ?? false,
        },
        next,
      );
      return {
        id: newId(),
        zoneId: zone.id,
        follows: null,
        stage: 'after' as const,
        colour: null,
        boilTest: null,
        ...result,
      };
    });
    await recordPiece(
      base,
      studio.members[0]!,
      { pieceId: piece.id, firingId: id, state: 'read', fate: fateOf(readings, next), readings },
      opened,
    );
  }
  await advanceFiring(base, technician, id, 'closed', { at: opened });
}

function fateOf(readings: readonly Result[], next: Random): Fate {
  const worst = Math.max(
    0,
    ...readings.flatMap((reading) => reading.defects.map((defect) => defect.severity)),
  );
  if (worst < 3) return 'keep';
  return next() < 0.12 ? 'refire' : 'keep';
}
