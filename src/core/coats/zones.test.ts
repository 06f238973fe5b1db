import { METRIC, sayMessage } from '../units';
import fc from 'fast-check';
import { CLAY_STATES, type CoatCover } from '../vocabulary';
import {
  coreCoats,
  entryKey,
  groundOf,
  headwordKey,
  headwordOf,
  PLAIN_COAT,
  placeWords,
  rimFirst,
  sameStack,
  stackWords,
  wareWords,
  zonesOf,
  type Area,
  type Coat,
  type Layer,
  type WrittenCoat,
} from '.';

const coat = (glaze: string, from: number, to: number, times = 1, side: Coat['side'] = 'outside'): Coat => ({
  glaze,
  from,
  to,
  times,
  side,
});

const anyCoat = fc
  .record({
    glaze: fc.constantFrom('A', 'B', 'C'),
    a: fc.integer({ min: 0, max: 100 }),
    b: fc.integer({ min: 0, max: 100 }),
    times: fc.integer({ min: 1, max: 4 }),
    side: fc.constantFrom<Coat['side']>('outside', 'left', 'right', 'inside'),
  })
  .filter(({ a, b }) => a !== b)
  .map(({ glaze, a, b, times, side }) =>
    coat(glaze, Math.min(a, b) / 100, Math.max(a, b) / 100, times, side),
  );

test('two overlapping bands make three zones', () => {
  expect(
    zonesOf([coat('Sleeper', 0, 0.66, 2), coat('Limewash', 0.33, 1)]).map(({ from, to, stack }) => [
      from,
      to,
      stack.map((layer) => layer.glaze + layer.times),
    ]),
  ).toEqual([
    [0, 0.33, ['Sleeper2']],
    [0.33, 0.66, ['Sleeper2', 'Limewash1']],
    [0.66, 1, ['Limewash1']],
  ]);
});

test('zones tile every side exactly', () => {
  fc.assert(
    fc.property(fc.array(anyCoat, { maxLength: 8 }), (coats) => {
      for (const side of new Set(zonesOf(coats).map((zone) => zone.side))) {
        const zones = zonesOf(coats).filter((zone) => zone.side === side);
        expect(zones[0]!.from).toBe(0);
        expect(zones.at(-1)!.to).toBe(1);
        zones.slice(1).forEach((zone, i) => {
          expect(zone.from).toBe(zones[i]!.to);
          expect(sameStack(zone.stack, zones[i]!.stack)).toBe(false);
        });
      }
    }),
  );
});

test('the order of coats matters exactly where different glazes overlap', () => {
  const pair = fc.tuple(anyCoat, anyCoat).map(
    ([a, b]) =>
      [
        { ...a, glaze: 'A', side: 'outside' as const },
        { ...b, glaze: 'B', side: 'outside' as const },
      ] as const,
  );
  fc.assert(
    fc.property(pair, ([a, b]) => {
      const overlap = Math.min(a.to, b.to) - Math.max(a.from, b.from) > 1e-6;
      expect(JSON.stringify(zonesOf([a, b])) === JSON.stringify(zonesOf([b, a]))).toBe(!overlap);
    }),
  );
});

test('edges that should touch do touch, and touching bands of one glaze are one zone', () => {
  expect(zonesOf([coat('A', 0, 0.1 + 0.2), coat('A', 0.3, 1)])).toHaveLength(1);
});

test('a glaze over itself is one layer of more times only where it is the same thing, laid on the same way', () => {
  const layers = (change: Partial<Coat>) =>
    zonesOf([coat('A', 0, 1), { ...coat('A', 0, 1), ...change }])[0]!.stack.map(({ times }) => times);
  expect(layers({})).toEqual([2]);
  expect(layers({ way: 'sprayed' })).toEqual([1, 1]);
  expect(layers({ mark: 'wiped' })).toEqual([1, 1]);
  expect(layers({ firing: 1 })).toEqual([1, 1]);
  expect(layers({ cover: 'fading' })).toEqual([1, 1]);
});

test('a band without height, off the piece, or applied no times is refused', () => {
  for (const bad of [
    coat('A', 0.5, 0.5),
    coat('A', -0.1, 0.5),
    coat('A', 0.5, 1.1),
    coat('A', 0, 1, 0),
    coat('A', NaN, 1),
  ]) {
    expect(() => zonesOf([bad])).toThrow(RangeError);
  }
});

test('an outside coat counts for both halves of a split piece', () => {
  const zones = zonesOf([coat('White', 0, 1, 1, 'left'), coat('A', 0, 1)]);
  expect(zones.map(({ side, stack }) => [side, stack.length])).toEqual([
    ['left', 2],
    ['right', 1],
  ]);
});

test('slips at the very bottom are ground, a slip over a glaze is a layer', () => {
  const { ground, stack } = groundOf('red', [
    { glaze: 'white', times: 1, slip: true },
    { glaze: 'A', times: 1 },
    { glaze: 'white', times: 1, slip: true },
  ]);
  expect(ground).toEqual({ body: 'red', slips: ['white'] });
  expect(stack.map((layer) => layer.glaze)).toEqual(['A', 'white']);
});

test('a slip with nothing on it is the result, told apart by its coats, way and the state of the clay', () => {
  const slip = { glaze: 'white', times: 1, slip: true, way: 'dipped' } as const;
  const { ground, stack } = groundOf('red', [slip]);
  expect([ground.slips, stack]).toEqual([[], [slip]]);
  expect(headwordOf(stack, (id) => id)).toBe('white');
  const row = { cone: '6', atmosphere: 'oxidation' } as const;
  const keyOf = (layer: Layer) => entryKey({ ground, stack: [layer], ...row, history: [row] });
  const ladder = [
    ...[1, 2, 3, 4].map((times) => ({ ...slip, times })),
    ...CLAY_STATES.map((clay) => ({ ...slip, clay })),
    ...(['brushed', 'inlaid'] as const).map((way) => ({ ...slip, way })),
  ];
  expect(new Set(ladder.map(keyOf)).size).toBe(ladder.length);
});

describe('a coat that does not cover its band', () => {
  const written = (more: Partial<WrittenCoat>): WrittenCoat => ({
    ...PLAIN_COAT,
    ...{ glazeId: 'A', glazeKind: 'glaze', method: 'dip', times: 1, side: 'outside', from: 0.2, to: 0.8 },
    ...more,
  });
  const stretches = (...coats: WrittenCoat[]) =>
    zonesOf(coats.flatMap((one) => coreCoats(one))).map(({ from, to, stack }) => [
      Number(from.toFixed(3)),
      Number(to.toFixed(3)),
      stackWords(stack, (id) => id),
    ]);

  test('with slanting edges is whole only where it is so all round; at rim and foot there is no edge', () => {
    const slope = (rise: number, more: Partial<WrittenCoat> = {}) =>
      stretches(written({ cover: { kind: 'slope', rise }, ...more }));
    expect(slope(0.1)).toEqual([
      [0, 0.2, 'bare'],
      [0.2, 0.3, 'A once (partly)'],
      [0.3, 0.7, 'A once'],
      [0.7, 0.8, 'A once (partly)'],
      [0.8, 1, 'bare'],
    ]);
    expect(slope(0.3, { from: 0, to: 1 })).toEqual([[0, 1, 'A once']]);
    expect(slope(0.3, { to: 1 })).toEqual([
      [0, 0.2, 'bare'],
      [0.2, 0.5, 'A once (partly)'],
      [0.5, 1, 'A once'],
    ]);
    expect(slope(0.4)[1]).toEqual([0.2, 0.8, 'A once (partly)']);
  });

  test('in a pattern or fading is a headword and an entry of its own, and no coat merges with it', () => {
    const pattern = { kind: 'pattern', name: 'dots', percent: 20 } as const;
    expect(stretches(written({ from: 0, to: 1 }), written({ from: 0, to: 1, cover: pattern }))).toEqual([
      [0, 1, 'A once, then A once (partly)'],
    ]);
    const covers: (CoatCover | null)[] = [null, pattern, { kind: 'fade', towards: 'rim' }];
    const stacks = covers.map((cover) => zonesOf(coreCoats(written({ from: 0, to: 1, cover })))[0]!.stack);
    const row = { cone: '6', atmosphere: 'oxidation' } as const;
    const keys = stacks.map((stack) => entryKey({ ...groundOf('red', stack), ...row, history: [row] }));
    expect(new Set(keys).size).toBe(3);
    expect(stacks.map(headwordKey)).toEqual(['A', 'A!partly', 'A!fading']);
    // A slip in places is no ground of what lies on it.
    expect(groundOf('red', [{ glaze: 's', times: 1, slip: true, cover: 'partly' }]).ground.slips).toEqual([]);
  });

  test('of wax lets what comes after it stay between its lines', () => {
    const wax = (cover: CoatCover | null) =>
      written({ glazeId: 'wax', glazeKind: 'resist', from: 0, to: 1, cover });
    const over = written({ from: 0, to: 1 });
    const lines = { kind: 'pattern', name: 'lines', percent: 30 } as const;
    expect(stretches(wax(lines), over)).toEqual([[0, 1, 'A once (partly)']]);
    expect([stretches(wax(null), over), stretches(wax(lines), wax(null), over)]).toEqual([
      [[0, 1, 'bare']],
      [[0, 1, 'bare']],
    ]);
  });
});

test('what lies over wax is not there, and the wax leaves no layer; in the next firing it is burnt away', () => {
  const wax = { ...coat('wax', 0, 0.2), mark: 'resist' } as const;
  const said = (...coats: Coat[]) =>
    zonesOf(coats).map(({ from, to, stack }) => [from, to, stack.map(({ glaze }) => glaze).join(' ')]);
  expect(said(wax, coat('A', 0, 1))).toEqual([
    [0, 0.2, ''],
    [0.2, 1, 'A'],
  ]);
  expect(said(coat('A', 0, 1), wax, coat('B', 0, 1))).toEqual([
    [0, 0.2, 'A'],
    [0.2, 1, 'A B'],
  ]);
  expect(said(wax, { ...coat('B', 0, 1), firing: 1 })).toEqual([[0, 1, 'B']]);
});

test('the entry key tells apart exactly what the dictionary tells apart', () => {
  const facts = {
    ground: { body: 'red', slips: [] },
    stack: [{ glaze: 'A', times: 2 }],
    cone: '6',
    atmosphere: 'oxidation' as const,
    history: [{ cone: '6', atmosphere: 'oxidation' as const }],
  };
  const key = entryKey(facts);
  expect(entryKey({ ...facts, stack: [{ glaze: 'A', times: 2, way: 'dipped' }] })).toBe(key);
  const others = [
    { ...facts, stack: [{ glaze: 'A', times: 1 }] },
    { ...facts, stack: [{ glaze: 'A', times: 2, way: 'brushed' as const }] },
    { ...facts, stack: [{ glaze: 'A', times: 2, mark: 'wiped' as const }] },
    { ...facts, ground: { body: 'red', slips: ['white'] } },
    { ...facts, cone: '5' },
    { ...facts, atmosphere: 'reduction' as const },
    { ...facts, history: [...facts.history, ...facts.history] },
    { ...facts, history: [{ cone: '10', atmosphere: 'reduction' as const }, ...facts.history] },
    ...(['poured', 'sprayed', 'trailed', 'sponged', 'inlaid'] as const).map((way) => ({
      ...facts,
      stack: [{ glaze: 'A', times: 2, way }],
    })),
  ].map(entryKey);
  expect(new Set([key, ...others]).size).toBe(others.length + 1);
});

test('zones are named as people say them', () => {
  expect(
    headwordOf(
      [
        { glaze: 'Sleeper', times: 2 },
        { glaze: 'Limewash', times: 1 },
      ],
      (id) => id,
    ),
  ).toBe('Limewash over Sleeper');
  const [tile, plate] = [
    { form: 'tile', heightMm: 100, widthMm: 60 },
    { form: 'plate', heightMm: 320, widthMm: 320 },
  ] as const;
  const at = (from: number, to: number, piece: typeof tile | typeof plate = tile) =>
    sayMessage(placeWords({ from, to }, piece), METRIC);
  expect([at(0, 0.34), at(0.05, 1), at(0, 0.45), at(0.1, 0.4), at(0.9, 1), at(0.3, 0.6)]).toEqual([
    'lower third',
    'from 0.5 cm above the foot to the rim',
    'up to 4.5 cm above the foot',
    'from 1 cm to 4 cm above the foot',
    'rim',
    'middle',
  ]);
  expect([at(0, 1, plate), at(0.25, 1, plate), at(0, 0.5, plate)]).toEqual([
    'all over',
    'from 4 cm from the centre to the rim',
    'up to 8 cm from the centre',
  ]);
  const face = (from: number, to: number) =>
    sayMessage(placeWords({ from, to, side: 'inside' }, plate), METRIC);
  expect([
    face(0, 1 / 3),
    face(0, 2 / 3),
    face(2 / 3, 1),
    face(0.93, 1),
    face(0.25, 1),
    face(0, 0.15),
  ]).toEqual([
    'centre, up to 5.3 cm from the centre',
    'centre and well, up to 10.7 cm from the centre',
    'flange and rim, from 10.7 cm from the centre to the rim',
    'rim',
    'well to rim, from 4 cm from the centre to the rim',
    'centre',
  ]);
  const [bowl, bottle] = [
    { form: 'bowl', heightMm: 70, widthMm: 150 },
    { form: 'bottle', heightMm: 250, widthMm: 105 },
  ] as const;
  const on = (piece: typeof bowl | typeof bottle, from: number, to: number) =>
    sayMessage(placeWords({ from, to }, piece), METRIC);
  expect([on(bowl, 0.57, 1), on(bowl, 0.45, 0.57), on(bowl, 0, 0.57), on(bowl, 0.95, 1)]).toEqual([
    'rim, 3 cm down',
    'from 3 cm to 3.9 cm below the rim',
    'from the foot to 3 cm below the rim',
    'rim',
  ]);
  expect([on(bottle, 0, 0.05), on(bottle, 0.7, 1), on(bottle, 0.52, 0.66), on(bottle, 0.96, 1)]).toEqual([
    'foot',
    'neck and rim, upper third',
    'shoulder, from 13 cm to 16.5 cm above the foot',
    'rim',
  ]);
});

test('a piece is never flattened into one stack: what does not meet is not said to lie over one another', () => {
  const said = (...coats: Coat[]) => wareWords(coats, (id) => id);
  expect(said(coat('Sleeper', 0, 0.4), coat('Limewash', 0.6, 1))).toBe('Limewash, Sleeper');
  expect(said(coat('Sleeper', 0, 0.6), coat('Limewash', 0.4, 1))).toBe(
    'Limewash, Limewash over Sleeper, Sleeper',
  );
  expect(said(coat('Lamp Clear', 0, 1, 1, 'inside'), coat('Sleeper', 0.1, 1))).toBe(
    'outside Sleeper; inside Lamp Clear',
  );
  expect(said(coat('Lamp Clear', 0, 1, 1, 'inside'), coat('Lamp Clear', 0.1, 1))).toBe(
    'Lamp Clear, outside and inside',
  );
  expect(said(coat('Lamp Clear', 0, 0.3), coat('Lamp Clear', 0.3, 0.6), coat('Lamp Clear', 0.6, 1))).toBe(
    'Lamp Clear',
  );
  expect(said()).toBe('bare');
});

const logo: Area = { name: 'logo', side: 'outside', from: 0.3, to: 0.6 };
const handle: Area = { name: 'handle', side: null, from: 0, to: 1 };
const onArea = (coats: readonly Coat[], areas: readonly Area[], name: string) =>
  zonesOf(coats, areas)
    .filter(({ area }) => area === name)
    .map(({ from, to, stack }) => [from, to, stack.map(({ glaze }) => glaze).join('+')]);

test('an area takes the coats of its side within its range, in order, unless they were kept off it', () => {
  const under = coat('A', 0, 1);
  const over = coat('B', 0.5, 1);
  expect(onArea([under, over], [logo], 'logo')).toEqual([
    [0.3, 0.5, 'A'],
    [0.5, 0.6, 'A+B'],
  ]);
  expect(onArea([under, { ...over, not: ['logo'] }], [logo], 'logo')).toEqual([[0, 1, 'A']]);
  // What was brushed on before the dip lies below it.
  expect(onArea([{ ...coat('W', 0, 1), area: 'logo' }, under], [logo], 'logo')).toEqual([[0, 1, 'W+A']]);
  expect(onArea([{ ...under, mark: 'resist', area: 'logo' }, over], [logo], 'logo')).toEqual([[0, 1, '']]);
});

test('a part of its own has only its own coats; inside and outside are not mixed', () => {
  const coats = [coat('A', 0, 1), coat('I', 0, 1, 1, 'inside'), { ...coat('H', 0, 0.4), area: 'handle' }];
  expect(onArea(coats, [handle, { ...logo, side: 'inside' }], 'handle')).toEqual([
    [0, 0.4, 'H'],
    [0.4, 1, ''],
  ]);
  expect(onArea(coats, [handle, { ...logo, side: 'inside' }], 'logo')).toEqual([[0, 1, 'I']]);
});

const anyArea = fc
  .record({
    name: fc.constantFrom('logo', 'fins', 'handle'),
    side: fc.constantFrom<Area['side']>('outside', 'left', 'inside', null),
    a: fc.integer({ min: 0, max: 99 }),
    b: fc.integer({ min: 1, max: 100 }),
  })
  .filter(({ a, b }) => a < b)
  .map(({ name, side, a, b }): Area => ({ name, side, from: a / 100, to: b / 100 }));
const areasOf = fc.uniqueArray(anyArea, { selector: ({ name }) => name, maxLength: 3 });
const coatsFor = (areas: readonly Area[]) =>
  fc.array(
    fc
      .tuple(
        anyCoat,
        fc.option(fc.constantFrom(...areas.map(({ name }) => name), ''), { nil: '' }),
        fc.boolean(),
      )
      .map(([one, name, isKeptOff]): Coat =>
        name === '' ? one : isKeptOff ? { ...one, not: [name] } : { ...one, area: name },
      ),
    { maxLength: 7 },
  );

test('areas change no side, and their own zones tile them exactly or are the whole of them', () => {
  fc.assert(
    fc.property(
      areasOf.chain((areas) => fc.tuple(fc.constant(areas), coatsFor(areas))),
      ([areas, coats]) => {
        const zones = zonesOf(coats, areas);
        expect(zones.filter(({ area }) => area === undefined)).toEqual(
          zonesOf(coats.filter(({ area }) => area === undefined)),
        );
        for (const { name, from, to, side } of areas) {
          const own = zones.filter(({ area }) => area === name);
          const [low, high] = own.length === 1 ? [0, 1] : [from, to];
          expect([own[0]!.from, own.at(-1)!.to]).toEqual([low, high]);
          own.slice(1).forEach((zone, i) => {
            expect(zone.from).toBe(own[i]!.to);
            expect(sameStack(zone.stack, own[i]!.stack)).toBe(false);
          });
          const allowed = coats.filter(
            (one) => one.area === name || (side && !one.area && !one.not?.includes(name)),
          );
          for (const { glaze } of own.flatMap(({ stack }) => stack))
            expect(allowed.map((one) => one.glaze)).toContain(glaze);
        }
      },
    ),
  );
});

test('a piece is read from rim to foot, then its areas', () => {
  const zones = zonesOf([coat('A', 0, 0.5)], [logo, handle]);
  expect(rimFirst(zones).map(({ area, from }) => area ?? from)).toEqual([0.5, 0, 'logo', 'logo', 'handle']);
});

test('the name of an area that there is not, or that there is twice, is refused', () => {
  expect(() => zonesOf([{ ...coat('A', 0, 1), area: 'fins' }], [logo])).toThrow('no area fins');
  expect(() => zonesOf([{ ...coat('A', 0, 1), not: ['fins'] }], [logo])).toThrow('no area fins');
  expect(() => zonesOf([], [logo, logo])).toThrow('name of its own');
  expect(() => zonesOf([], [{ ...logo, to: 0.3 }])).toThrow(RangeError);
});
