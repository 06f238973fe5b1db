import { clashesOf, firstSlot, isOpenAt, loadsWaiting, nextOpen, USUAL_HOURS, type Queued } from '.';

const at = (text: string) => new Date(`2026-11-${text}`);
const ELECTRIC = { firingHours: 9, coolingHours: 18, flame: false, attended: false };
const GAS = { firingHours: 11, coolingHours: 30, flame: true, attended: true };

// 25 November 2026 is a Wednesday; the usual hours are 9 to 21, shut on Sundays.
test('a firing starts when somebody is in, and is opened when somebody is in again', () => {
  const slot = firstSlot(USUAL_HOURS, at('25T07:10'), ELECTRIC)!;
  expect(slot.start).toEqual(at('25T09:00'));
  expect(slot.end).toEqual(at('25T18:00'));
  expect(slot.opens).toEqual(at('26T12:00'));
  expect(firstSlot(USUAL_HOURS, at('25T20:45'), ELECTRIC)!.start).toEqual(at('26T09:00'));
  const saturday = firstSlot(USUAL_HOURS, at('28T09:10'), ELECTRIC)!;
  expect([saturday.start, saturday.opens]).toEqual([at('28T09:30'), at('30T09:00')]);
});

test('a flame keeps the quiet hours, and one that is watched ends before all go home', () => {
  expect(clashesOf(USUAL_HOURS, at('25T12:00'), GAS)).toEqual([
    'nobody is in until it ends',
    'it burns in the quiet hours',
  ]);
  expect(firstSlot(USUAL_HOURS, at('25T09:30'), GAS)!.start).toEqual(at('25T09:30'));
  expect(firstSlot(USUAL_HOURS, at('25T11:00'), GAS)!.start).toEqual(at('26T09:00'));
  expect(firstSlot(USUAL_HOURS, at('25T09:00'), { ...GAS, firingHours: 14 })).toBeNull();
});

test('hours are read to the minute, and a studio that never opens is told as it is', () => {
  expect([isOpenAt(USUAL_HOURS, at('25T09:00')), isOpenAt(USUAL_HOURS, at('25T21:00'))]).toEqual([
    true,
    false,
  ]);
  const shut = { days: Array<null>(7).fill(null), quiet: null };
  expect(nextOpen(shut, at('25T10:00'))).toEqual(at('25T10:00'));
  expect(firstSlot(shut, at('25T10:00'), ELECTRIC)).toBeNull();
});

test('what waits is sorted into loads: the most pressing first, in a kiln that can fire it', () => {
  const piece = (id: string, more: Partial<Queued> = {}): Queued => ({
    ...{ id, cone: '6', atmosphere: 'oxidation', area: 10_000, dueOn: null },
    ...more,
  });
  const kilns = [
    { id: 'two', heat: 'electric' as const, area: 1_000_000 },
    { id: 'stoker', heat: 'gas' as const, area: 3_000_000 },
  ];
  const loads = loadsWaiting(
    [
      ...Array.from({ length: 48 }, (_, i) => piece(`a${i}`)),
      piece('b', { cone: '10', atmosphere: 'reduction', dueOn: '2026-12-01' }),
    ],
    kilns,
  );
  expect(loads.map(({ cone, kilns: able }) => [cone, able.map(({ id }) => id)])).toEqual([
    ['10', ['stoker']],
    ['6', ['two', 'stoker']],
  ]);
  expect(loads[1]!.kilns[0]!.filled).toBeCloseTo(0.8);
  // What wants another atmosphere is another load.
  const fires = [piece('a'), piece('c', { atmosphere: 'neutral' }), piece('d', { atmosphere: 'neutral' })];
  expect(loadsWaiting(fires, kilns).map((load) => [load.atmosphere, load.pieces.length])).toEqual([
    ['neutral', 2],
    ['oxidation', 1],
  ]);
});
