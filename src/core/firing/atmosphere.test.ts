import { suggestAtmosphere, type AtmosphereFacts } from '.';

const said = (more: Partial<AtmosphereFacts> = {}) =>
  suggestAtmosphere({
    ...{ meant: 'reduction', events: [], minutes: 600, fullness: null, probe: [], glazes: [] },
    ...more,
  });
const event = (kind: AtmosphereFacts['events'][number]['kind'], minutes: number, note = '') => ({
  ...{ kind, minutes, note },
});

test('nothing is suggested where nothing speaks, or where no reduction was meant', () => {
  expect(said()).toBeNull();
  expect(said({ events: [event('note', 5, 'windy')], fullness: 'full' })).toBeNull();
  expect(said({ meant: 'oxidation', fullness: 'quarter' })).toBeNull();
});

test('a draw ring decides; without one a light, short or missing reduction and a part-empty kiln speak', () => {
  const starts = event('reduction starts', 300, 'medium');
  expect(said({ events: [starts] })).toEqual({
    reached: 'as meant',
    because: ['medium reduction was logged'],
  });
  expect(said({ events: [starts, event('draw ring', 400, 'heavy')] })?.reached).toBe('heavy');
  expect(said({ events: [starts, event('draw ring', 400, 'none')] })).toEqual({
    reached: 'oxidised',
    because: ['the last draw ring showed no reduction'],
  });
  for (const facts of [
    { events: [event('damper', 100)] },
    { events: [event('reduction starts', 300, 'light')] },
    { events: [starts, event('reduction ends', 330)] },
    { events: [event('reduction starts', 580)] },
    { events: [starts], fullness: 'half' as const },
  ])
    expect(said(facts)?.reached).toBe('weak');
});

test('a probe speaks before what was logged by hand, by its middle while it reduced and was hot', () => {
  const probe = (millivolts: number, minutes = [300, 330, 360, 390, 420, 450]) =>
    minutes.map((at) => ({ minutes: at, celsius: 1200, millivolts }));
  const events = [event('reduction starts', 300, 'light'), event('reduction ends', 450)];
  const reached = (mv: number) => said({ events, probe: probe(mv) })?.reached;
  expect([90, 520, 650, 760].map(reached)).toEqual(['oxidised', 'weak', 'as meant', 'heavy']);
  expect(said({ events, probe: probe(650) })?.because).toEqual(['the probe stood at 650 mV']);
  // Two readings are too few, a cold probe and one after the reduction say nothing; a draw ring says more.
  for (const unheard of [
    probe(90, [300, 310]),
    probe(90).map((one) => ({ ...one, celsius: 600 })),
    probe(90, [460, 470, 480, 490, 500]),
  ])
    expect(said({ events, probe: unheard })?.because).toEqual(['only light reduction was logged']);
  const ring = event('draw ring', 460, 'heavy');
  expect(said({ events: [...events, ring], probe: probe(90) })?.reached).toBe('heavy');
});

test('colours speak only when more than one glaze is off', () => {
  const glaze = (pieces: number, shifted: number) => ({ pieces, shifted });
  expect(said({ glazes: [glaze(9, 9), glaze(4, 0)] })).toBeNull();
  expect(said({ glazes: [glaze(9, 1), glaze(4, 1)] })).toBeNull();
  expect(said({ glazes: [glaze(9, 2), glaze(4, 1)] })?.because).toEqual([
    '3 of 13 pieces, of 2 glazes, came out of another colour',
  ]);
});
