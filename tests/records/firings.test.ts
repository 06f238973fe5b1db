import { METRIC, sayMessage } from '../../src/core/units';
import { pollOnce, ControllerError, type KilnDriver } from '@/kiln-poller';
import { climbAt, saySegments, USUAL_HOURS } from '@/core/firing';
import {
  isFeedToken,
  renewFeed,
  advanceFiring,
  firingById,
  refuseBusyKiln,
  saveFiring,
  kilnHabits,
  kilnPage,
  reachedBy,
  addPart,
  endPart,
  kilnById,
  listKilns,
  partsOf,
  saveKiln,
  loadShelves,
  placePieces,
  setDue,
  setShelf,
  shelfPieces,
  waitingIds,
  addEvent,
  curveOf,
  endEvents,
  eventsOf,
  importLog,
  liveSources,
  lightKiln,
  openSource,
  logOf,
  listProgrammes,
  saveProgramme,
  queueOf,
  conesOf,
  saveCones,
} from '@/records/firings';
import { newId, Conflict, Refusal, saveSetting, setting } from '@/records/platform';
import { savePieces } from '@/records/pieces';
import { emptyFiring, fired, freshStudio, KILN, tile, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await freshStudio('firings');
});
afterAll(() => studio.base.destroy());

const SEGMENTS = [
  { rate: 150, target: 1100, hold: 0 },
  { rate: 60, target: 1222, hold: 0 },
];

/** A reading a minute of a climb at 2 °C a minute. */
function readings(from: number, to: number) {
  return Array.from({ length: to - from }, (_, i) => ({
    seq: from + i + 1,
    minutes: from + i,
    celsius: 20 + (from + i) * 2,
    target: 20 + (from + i) * 2,
    oxygen: null,
  }));
}

/** A controller that can be made silent, with so many readings written. */
function fakeDriver() {
  const kiln = { written: 0, silent: false, status: 'running' as 'running' | 'complete', run: '' };
  const driver: KilnDriver = {
    state: async () => ({
      heat: 'electric',
      run: kiln.run,
      status: kiln.status,
      speed: 1,
      minutes: kiln.written,
      celsius: 20,
      target: null,
      power: 0,
      oxygen: null,
      settings: { gas: 0, air: 0, damper: 0 },
    }),
    start: () => driver.state(),
    stop: () => driver.state(),
    set: () => driver.state(),
    readingsSince: async (_, since) => {
      if (kiln.silent) throw new ControllerError('The controller does not answer.');
      return readings(since, Math.min(kiln.written, since + 100));
    },
  };
  return { kiln, driver };
}

test('a controller is read to its last line, lost and found again without a reading missing or doubled', async () => {
  const { base, member } = studio;
  const { firingId } = await fired(studio, []);
  const id = await emptyFiring(studio);
  await advanceFiring(base, member, id, 'firing');
  const source = { id: newId(), firingId: id, name: 'a controller', speed: 1 };
  await openSource(base, member, source);
  await openSource(base, member, source);
  const { kiln, driver } = fakeDriver();
  kiln.run = source.id;
  kiln.written = 250;
  expect(await pollOnce(base, () => driver)).toBe(1);
  expect(await curveOf(base, id)).toHaveLength(250);
  kiln.silent = true;
  kiln.written = 560;
  await pollOnce(base, () => driver);
  expect((await liveSources(base))[0]!.error).toBe('The controller does not answer.');
  kiln.silent = false;
  await Promise.all([pollOnce(base, () => driver), pollOnce(base, () => driver)]);
  expect((await liveSources(base))[0]!.error).toBeNull();
  const curve = await curveOf(base, id);
  expect(curve.map(({ minutes }) => minutes)).toEqual(Array.from({ length: 560 }, (_, i) => i));
  kiln.status = 'complete';
  await pollOnce(base, () => driver);
  const firing = await firingById(base, id);
  expect(firing.state).toBe('cooling');
  expect(firing.loggedCone!).toBeGreaterThan(0);
  const log = await logOf(base, firing, await kilnById(base, studio.kilnId), new Date());
  expect([log.gaps, log.sensors[0]!.length, log.last!.celsius]).toEqual([[], 560, 1138]);
  await advanceFiring(base, member, id, 'open');
  expect(await pollOnce(base, () => driver)).toBe(0);
  expect(firingId).not.toBe(id);
});

test('hand readings are the log of a kiln without a controller; events are struck out and brought back', async () => {
  const { base, member } = studio;
  const id = await emptyFiring(studio);
  await advanceFiring(base, member, id, 'firing');
  const note = (minutes: number, celsius: number) =>
    addEvent(base, member, {
      id: newId(),
      firingId: id,
      kind: 'hand reading',
      minutes,
      value: celsius,
      note: '',
    });
  for (const hour of [0, 1, 2, 3, 4, 5, 6, 7]) await note(hour * 60, 20 + hour * 155);
  // A controller that has not said anything yet does not take them away.
  await openSource(base, member, { id: newId(), firingId: id, name: 'a controller', speed: 1 });
  const log = await logOf(base, await firingById(base, id), await kilnById(base, studio.kilnId), new Date());
  expect(log.last).toEqual({ minutes: 420, celsius: 1105 });
  const wrong = newId();
  const event = {
    id: wrong,
    firingId: id,
    kind: 'hand reading' as const,
    minutes: 430,
    value: 1300,
    note: '',
  };
  await addEvent(base, member, event);
  await addEvent(base, member, event);
  expect(await eventsOf(base, id)).toHaveLength(9);
  const tooHot = (await firingById(base, id)).loggedCone!;
  await endEvents(base, member, [wrong], true);
  expect((await firingById(base, id)).loggedCone!).toBeLessThan(tooHot);
  await endEvents(base, member, [wrong], false);
  expect((await firingById(base, id)).loggedCone).toBeCloseTo(tooHot);
});

test('a log file is one import however often it is sent, and waits for a live controller to end', async () => {
  const { base, member } = studio;
  const id = await emptyFiring(studio);
  await openSource(base, member, { id: newId(), firingId: id, name: 'a controller', speed: 1 });
  const file = { id: newId(), firingId: id, name: 'log.csv' };
  await expect(importLog(base, member, file, [readings(0, 9)])).rejects.toThrow(Refusal);
  await base('log_source').where({ firing_id: id }).update({ live: false });
  await importLog(base, member, file, [readings(0, 9), readings(0, 9)]);
  await importLog(base, member, file, [readings(0, 9)]);
  expect(await curveOf(base, id)).toHaveLength(9);
});

test('a very long log is thinned on its way without losing its peak', async () => {
  const { base, member, kilnId } = studio;
  const id = await emptyFiring(studio);
  const lines = Array.from({ length: 21_000 }, (_, i) => ({
    ...{ seq: i + 1, minutes: i, target: null, oxygen: null },
    celsius: i === 17_123 ? 1111 : 20 + (i % 600),
  }));
  await importLog(base, member, { id: newId(), firingId: id, name: 'long' }, [lines]);
  const log = await logOf(base, await firingById(base, id), await kilnById(base, kilnId), new Date());
  expect(log.sensors[0]!.length).toBeLessThan(2000);
  expect(Math.max(...log.sensors[0]!.map(({ celsius }) => celsius ?? 0))).toBe(1111);
  expect(log.last!.minutes).toBe(20_999);
});

test('a kiln whose log ended hot is called cool enough only when its slowest cooling has had its time', async () => {
  const { base, member, kilnId } = studio;
  const id = await emptyFiring(studio);
  await advanceFiring(base, member, id, 'cooling');
  const start = new Date('2026-03-02T18:00:00Z');
  await base('firing').where({ id }).update({ started_at: start, ended_at: start });
  const fall = (minutes: number) => 20 + 1180 * Math.exp(-minutes / 300);
  const lines = Array.from({ length: 60 }, (_, i) => ({
    seq: i + 1,
    minutes: 10 * i,
    celsius: fall(10 * i),
  }));
  const rest = { target: null, oxygen: null };
  await importLog(base, member, { id: newId(), firingId: id, name: 'fall' }, [
    lines.map((line) => ({ ...line, ...rest })),
  ]);
  const at = async (hours: number) => {
    const now = new Date(start.getTime() + hours * 3_600_000);
    return (await logOf(base, await firingById(base, id), await kilnById(base, kilnId), now)).open!;
  };
  const { from, to } = await at(10);
  // 1180 e^(−t/300) falls to the kiln's own limit in closed form.
  const exact =
    start.getTime() + 300 * Math.log(1180 / ((await kilnById(base, kilnId)).openBelow - 20)) * 60_000;
  expect(from.getTime()).toBeLessThanOrEqual(exact);
  expect(to.getTime()).toBeGreaterThanOrEqual(exact);
  const hoursTo = (to.getTime() - start.getTime()) / 3_600_000;
  expect((await at(hoursTo - 0.1)).reached).toBe(false);
  expect((await at(hoursTo + 0.1)).reached).toBe(true);
});

test('witness cones say what was reached; put down again, the old ones stay as history', async () => {
  const { base, member, kilnId } = studio;
  const day = (n: number) =>
    `2026-${String(1 + Math.floor(n / 28)).padStart(2, '0')}-${String(1 + (n % 28)).padStart(2, '0')}`;
  for (let n = 0; n < 8; n++) {
    const id = newId();
    const plan = { id, kilnId, kind: 'glaze' as const, cone: '6' as const, atmosphere: 'oxidation' as const };
    const rest = { startsAt: '08:00', programmeId: null, segments: SEGMENTS, programme: '', remarks: '' };
    await saveFiring(base, member, { ...plan, ...rest, plannedOn: day(n * 14) }, null);
    await advanceFiring(base, member, id, 'cooling');
    // The log says cone 6; for the first half the cones say it was 12 °C less.
    const peak = climbAt(6, 60) + (n < 4 ? 12 : 0);
    const climb = Array.from({ length: 30 }, (_, i) => ({ minutes: i * 20, celsius: peak - (29 - i) * 20 }));
    const lines = climb.map((point, i) => ({ ...point, seq: i + 1, target: null, oxygen: null }));
    await importLog(base, member, { id: newId(), firingId: id, name: 'x' }, [lines]);
    const bent = (bend: number) => [
      { id: newId(), shelf: 2, cone: '5' as const, bend: 90 },
      { id: newId(), shelf: 2, cone: '6' as const, bend },
    ];
    const first = bent(40);
    await saveCones(base, member, id, first);
    await saveCones(base, member, id, first);
    await saveCones(base, member, id, bent(75));
    const firing = await firingById(base, id);
    expect(firing.achievedCone!).toBeGreaterThan(5.8);
    expect(firing.achievedLow!).toBeLessThan(firing.achievedCone!);
    expect((await conesOf(base, [id])).get(id)).toHaveLength(2);
    expect(await base('witness_cone').where({ firing_id: id })).toHaveLength(4);
  }
  const change = { id: newId(), kilnId, part: 'thermocouple' as const, changedOn: day(50), note: 'new tip' };
  await addPart(base, member, change);
  await addPart(base, member, change);
  const { drift, parts } = await kilnPage(base, kilnId);
  expect(parts).toMatchObject([{ part: 'thermocouple', firings: 4 }]);
  expect(drift.steps).toHaveLength(1);
  expect(Math.abs(drift.steps[0]!.step.value + 12)).toBeLessThan(2);
  await endPart(base, member, change.id, true);
  expect(await partsOf(base, kilnId)).toEqual([]);
});

test('pieces stand where they are put while a firing is loaded, and no longer', async () => {
  const { base, member } = studio;
  const { firingId, ids } = await fired(studio, [tile(studio)]);
  await expect(
    placePieces(base, member, firingId, [{ pieceId: ids[0]!, shelf: 2, x: 10, y: 10, cookie: true }]),
  ).rejects.toThrow(/open; it is no longer loaded/);
  await setShelf(base, member, firingId, 2, { postMm: 150 });
  await setShelf(base, member, firingId, 2, { photoHash: 'h'.repeat(43) });
  expect(await loadShelves(base, firingId)).toEqual([{ shelf: 2, postMm: 150, photoHash: 'h'.repeat(43) }]);
  const [piece] = await shelfPieces(base, ids, firingId);
  expect(piece).toMatchObject({ shelf: 1, spot: null, runsFrom: null, chrome: false, round: null });
});

test('two people who change one kiln are told; a programme keeps what firings followed it with', async () => {
  const { base, member, kilnId } = studio;
  const kiln = await kilnById(base, kilnId);
  await saveKiln(base, member, { id: kilnId, ...KILN, litres: 200 }, kiln.version);
  await expect(saveKiln(base, member, { id: kilnId, ...KILN, litres: 210 }, kiln.version)).rejects.toThrow(
    Conflict,
  );
  await expect(saveKiln(base, member, { id: newId(), ...KILN }, null)).rejects.toThrow(/already a kiln/);
  expect(await listKilns(base)).toHaveLength(1);

  const programme = { id: newId(), name: 'Slow', segments: SEGMENTS, note: '' };
  await saveProgramme(base, member, programme, null);
  const id = newId();
  await saveFiring(
    base,
    member,
    {
      ...{ id, kilnId, kind: 'glaze', cone: '6', atmosphere: 'oxidation', plannedOn: '2026-11-30' },
      ...{ startsAt: '09:00', programmeId: programme.id, segments: SEGMENTS, remarks: '' },
      programme: sayMessage(saySegments(SEGMENTS), METRIC),
    },
    null,
  );
  await saveProgramme(base, member, { ...programme, segments: SEGMENTS.slice(0, 1) }, 1);
  expect((await firingById(base, id)).segments).toEqual(SEGMENTS);
  expect((await listProgrammes(base)).map(({ firings, version }) => [firings, version])).toEqual([[1, 2]]);
});

test('the queue sets what waits against what is planned, within the studio’s hours', async () => {
  const { base, member } = studio;
  const hours = { ...USUAL_HOURS, quiet: null };
  await saveSetting(base, member, 'hours', hours, 0);
  await expect(saveSetting(base, member, 'hours', USUAL_HOURS, 0)).rejects.toThrow(Conflict);
  expect(await setting(base, 'hours', USUAL_HOURS)).toEqual({ value: hours, version: 1 });
  const queue = await queueOf(base, new Date('2026-11-25T10:00:00'));
  expect(queue.booked.some(({ firing }) => firing.plannedOn === '2026-11-30')).toBe(true);
  expect(
    queue.bare + queue.unsaid.length + queue.proposals.reduce((sum, { pieces }) => sum + pieces.length, 0),
  ).toBe((await waitingIds(base)).length);
  const token = await renewFeed(base, member);
  expect(await isFeedToken(base, token)).toBe(true);
  const next = await renewFeed(base, member);
  expect([await isFeedToken(base, token), await isFeedToken(base, next)]).toEqual([false, true]);
});

test('a kiln’s habits are read from its last logs, and two kilns compared on one programme', async () => {
  const { base, member } = studio;
  const kilnId = newId();
  await saveKiln(base, member, { ...KILN, id: kilnId, name: 'Number Three' }, null);
  const kiln = await kilnById(base, kilnId);
  expect(await kilnHabits(base, [kiln])).toEqual([{ kilnId, climbs: [], coolHours: null }]);
  const programme = { id: newId(), name: 'Steady', segments: SEGMENTS, note: '' };
  await saveProgramme(base, member, programme, null);
  const id = newId();
  await saveFiring(
    base,
    member,
    {
      ...{ id, kilnId, kind: 'glaze', cone: '6', atmosphere: 'oxidation', plannedOn: '2026-10-02' },
      ...{ startsAt: '09:00', programmeId: programme.id, segments: SEGMENTS, programme: '', remarks: '' },
    },
    null,
  );
  // Ten hours up at 120 °C/h, then down by Newton's law: below 50 °C when 1200 exp(−t/300) is 30.
  const lines = Array.from({ length: 1900 }, (_, i) => ({
    ...{ seq: i + 1, minutes: i, target: null, oxygen: null },
    celsius: i <= 600 ? 20 + i * 2 : 20 + 1200 * Math.exp(-(i - 600) / 300),
  }));
  await importLog(base, member, { id: newId(), firingId: id, name: 'x' }, [lines]);
  const [habit] = await kilnHabits(base, [kiln]);
  expect(habit!.climbs.map(({ celsius }) => celsius)).toContain(1100);
  expect(habit!.climbs.every(({ rate }) => Math.abs(rate - 120) < 1)).toBe(true);
  expect(habit!.coolHours!).toBeCloseTo((300 * Math.log(1200 / 30)) / 60, 0);
  await saveCones(base, member, id, [{ id: newId(), shelf: 1, cone: '6', bend: 60 }]);
  expect(await reachedBy(base, programme.id)).toMatchObject([
    { kiln: 'Number Three', reached: [expect.any(Number)] },
  ]);
});

test('a kiln that still holds a hot firing is not lit again', async () => {
  const { base, member } = studio;
  const kilnId = newId();
  await saveKiln(base, member, { ...KILN, id: kilnId, name: 'Number Four' }, null);
  const plan = (id: string) => ({
    ...{ id, kilnId, kind: 'glaze' as const, cone: '6' as const, atmosphere: 'oxidation' as const },
    ...{
      plannedOn: '2026-11-01',
      startsAt: '09:00',
      programmeId: null,
      segments: null,
      programme: '',
      remarks: '',
    },
  });
  const [first, second] = [newId(), newId()];
  for (const id of [first, second]) await saveFiring(base, member, plan(id), null);
  await advanceFiring(base, member, first, 'cooling');
  await expect(refuseBusyKiln(base, await firingById(base, second))).rejects.toThrow(
    'Number Four 1 is still cooling',
  );
  await advanceFiring(base, member, first, 'open');
  await expect(refuseBusyKiln(base, await firingById(base, second))).resolves.toBeUndefined();
});

test('of two who start a kiln at once one finds it taken, and the controller runs once', async () => {
  const { base, member, kilnId } = studio;
  const segments = [{ rate: 100, target: 1222, hold: 10 }];
  const ready = async () => {
    const firingId = await emptyFiring(studio);
    await base('firing')
      .where({ id: firingId })
      .update({ segments: JSON.stringify(segments) });
    return firingId;
  };
  await base('firing')
    .where({ kiln_id: kilnId })
    .whereIn('state', ['firing', 'cooling'])
    .update({ state: 'closed' });
  const [one, other] = [await ready(), await ready()];
  const runs: string[] = [];
  const start = (firingId: string, sourceId: string) =>
    lightKiln(base, member, { firingId, sourceId }, async () => {
      runs.push(sourceId);
      await new Promise((resolve) => setTimeout(resolve, 150));
      return { speed: 1 };
    });
  const [first, second, third] = [newId(), newId(), newId()];
  const told = await Promise.allSettled([
    start(one, first),
    // The same press again, another person at the same firing, and another firing of the kiln.
    start(one, first),
    start(one, second),
    start(other, third),
  ]);
  expect(runs).toHaveLength(1);
  expect(told.filter(({ status }) => status === 'fulfilled').length).toBe(runs[0] === first ? 2 : 1);
  const states = await base('firing').whereIn('id', [one, other]).select('state');
  expect(states.map(({ state }) => state).sort()).toEqual(['firing', 'loading']);
  expect(await base('log_source').whereIn('firing_id', [one, other]).where({ live: 1 })).toHaveLength(1);
  // A controller that does not answer leaves everything as it was.
  await base('firing').whereIn('id', [one, other]).update({ state: 'loading' });
  await base('log_source').whereIn('firing_id', [one, other]).update({ live: false });
  const silent = lightKiln(base, member, { firingId: other, sourceId: newId() }, () =>
    Promise.reject(new Refusal('', 'The controller is silent.')),
  );
  await expect(silent).rejects.toThrow('silent');
  expect(await base('firing').where({ id: other }).first('state')).toEqual({ state: 'loading' });
});

test('a piece’s own day stands before its round’s, and what is wanted first is loaded first', async () => {
  const { base, member } = studio;
  const ids = [newId(), newId()];
  for (const id of ids) await savePieces(base, member, tile(studio), [id]);
  await setDue(base, member, ids, '2026-12-09');
  await setDue(base, member, ids.slice(0, 1), null);
  const pieces = await shelfPieces(base, ids, null);
  expect(pieces.map(({ dueOn }) => dueOn)).toEqual([null, '2026-12-09']);
  expect(new Set(pieces.map(({ twins }) => twins)).size).toBe(1);
  const queue = await queueOf(base, new Date('2026-11-25T10:00:00'));
  expect(queue.proposals[0]!.dueOn).toBe('2026-12-09');
  expect(queue.proposals[0]!.pieces.map(({ id }) => id)).toEqual(expect.arrayContaining(ids));
});
