import { PLAIN_COAT, PLAIN_PIECE } from '@/core/coats';
import { formShape } from '@/core/vocabulary';
import { addBatch, saveBody, versionsInUse, saveGlaze, saveRecipe } from '@/records/materials';
import { newId, type Db } from '@/records/platform';
import { addMember, setHintsOff } from '@/records/people';
import { savePieces } from '@/records/pieces';
import { AGAIN_FIRINGS, loadAgain } from './again';
import { openCases } from './cases';
import { keepReference } from './reference';
import { fire } from './fire';
import { takeOrders } from './orders';
import { beginLadder, crazeLate, makeLadder } from './ladders';
import { addPart, saveKiln, saveProgramme } from '@/records/firings';
import { CLASS_FIRINGS, PARTS } from './scenario/kilns';
import { classFiring, FIRINGS, plannedPieces, type PlannedPiece } from './scenario/plan';
import { RECIPES } from './scenario/recipes';
import { PROGRAMMES } from './scenario/programmes';
import { BODIES, GLAZES, KILNS, MEMBERS } from './scenario/studio';
import { ago, dayAgo, type Studio } from './studio';
import { makeWare, WARE_FIRING } from './ware';

/** Days before today that every bucket was mixed again. */
const NEW_BATCHES = 90;

/** Whether the demo is in this database already. */
export async function demoIsLoaded(base: Db): Promise<boolean> {
  return Boolean(await base('job').where({ name: 'demo loaded' }).first());
}

/**
 * Loads eighteen months of the Old Signalworks through the same records functions the application uses:
 * people, clays, glazes, kilns, then every piece, firing and opening in order.
 */
export async function loadDemo(base: Db, now: Date, say: (text: string) => void): Promise<void> {
  const studio = await loadStudio(base, now);
  const pieces = plannedPieces();
  const made = new Map<PlannedPiece, string>();
  for (const piece of pieces) made.set(piece, await makePiece(base, studio, piece));
  say(`${pieces.length} pieces made`);
  const classes = CLASS_FIRINGS.map(({ kiln, daysAgo }) => {
    const isWare = kiln === WARE_FIRING.kiln && daysAgo === WARE_FIRING.daysAgo;
    return { ...classFiring(kiln, daysAgo), ...(isWare && { remarks: WARE_FIRING.remarks }) };
  });
  const firings = [...classes, ...FIRINGS, ...AGAIN_FIRINGS];
  for (const firing of firings.sort((one, other) => other.daysAgo - one.daysAgo)) {
    const inside = pieces
      .filter((piece) => piece.firing === firing.key)
      .map((piece) => [piece, made.get(piece)!] as const);
    const tests =
      firing.key === 'ladder'
        ? await makeLadder(base, studio, firing.daysAgo + 16)
        : firing.remarks === WARE_FIRING.remarks
          ? await makeWare(base, studio)
          : AGAIN_FIRINGS.includes(firing)
            ? await loadAgain(base, studio, firing.key)
            : [];
    await fire(base, studio, firing, [...inside, ...tests]);
    say(
      `${firing.kiln === 'two' ? 'Number Two' : 'The Stoker'}, cone ${firing.cone}: ${inside.length + tests.length} pieces, ${firing.state}`,
    );
  }
  await beginLadder(base, studio);
  await crazeLate(base, studio);
  await openCases(base, studio);
  await keepReference(base, studio);
  await takeOrders(base, studio);
  await base('job').insert({ name: 'demo loaded', done: 1, total: 1, at: now });
}

async function loadStudio(base: Db, now: Date): Promise<Studio> {
  const members: string[] = [];
  for (const member of MEMBERS) members.push(await addMember(base, member));
  // They have worked here for years.
  for (const id of members) await setHintsOff(base, id, true);
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
  const versions = await versionsInUse(base);
  for (const [name, lines] of Object.entries(RECIPES)) {
    const glazeId = glazes.get(name)!;
    const follows = versions.get(glazeId)!;
    await saveRecipe(base, technician, { id: newId(), glazeId, follows, wasWritten: false, lines, note: '' });
  }
  const batches = new Map<string, readonly [string, string]>();
  for (const [n, [name, glazeId]] of [...glazes].entries()) {
    const pair = [newId(), newId()] as const;
    for (const [i, id] of pair.entries()) {
      const code = `${name.slice(0, 1)}${String(n + 1 + i * 40).padStart(2, '0')}`;
      const mixedOn = dayAgo(now, i ? NEW_BATCHES : 560);
      const specificGravity = 1.42 + ((n + i) % 5) / 100;
      await addBatch(base, technician, { id, glazeId, versionId: null, code, mixedOn, specificGravity });
    }
    batches.set(name, pair);
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
  return { programmes, members, bodies, glazes, batches, kilns, now, tests: new Map() };
}

const SLIPS = new Set(GLAZES.filter(({ kind }) => kind === 'slip').map(({ name }) => name));

async function makePiece(base: Db, studio: Studio, piece: PlannedPiece): Promise<string> {
  const { heightMm, widthMm } = formShape(piece.form);
  const [saved] = await savePieces(
    base,
    studio.members[piece.maker]!,
    {
      ...PLAIN_PIECE,
      ...{ form: piece.form, heightMm, widthMm, bodyId: studio.bodies.get(piece.body)! },
      split: piece.coats.some((coat) => coat.side === 'left' || coat.side === 'right'),
      note: piece.note ?? '',
      coats: piece.coats.map((coat, i) => ({
        ...PLAIN_COAT,
        glazeId: studio.glazes.get(coat.glaze)!,
        batchId: studio.batches.get(coat.glaze)?.[piece.madeDaysAgo > NEW_BATCHES ? 0 : 1] ?? null,
        method: coat.method ?? 'dip',
        times: coat.times,
        seconds: coat.method === 'brush' ? null : 3,
        side: coat.side ?? 'outside',
        from: coat.from,
        to: coat.to,
        dryBefore: i > 0 ? true : null,
        clay: SLIPS.has(coat.glaze) ? (piece.slipOnDryClay ? 'dry' : 'leather-hard') : null,
      })),
    },
    [newId()],
    { madeAt: ago(studio, piece.madeDaysAgo, 14) },
  );
  return saved!.id;
}
