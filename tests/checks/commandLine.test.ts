import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import sharp from 'sharp';

const JITEN = resolve('bin/jiten');

function zones(input: unknown) {
  return JSON.parse(
    execFileSync(JITEN, ['zones'], { cwd: tmpdir(), input: JSON.stringify(input), encoding: 'utf8' }),
  ).zones;
}

// Common practice, no source: foot up two thirds in one, rim down two thirds in the other makes three tests.
test('zones, from any folder: two bands are three tests', () => {
  const coats = [
    { glaze: 'A', side: 'outside', from: 0, to: 2 / 3, times: 1 },
    { glaze: 'B', side: 'outside', from: 1 / 3, to: 1, times: 1 },
  ];
  expect(
    zones({ coats }).map((zone: { stack: { glaze: string }[] }) =>
      zone.stack.map((layer) => layer.glaze).join('+'),
    ),
  ).toEqual(['A', 'A+B', 'B']);
  expect(zones({ coats: [] })).toEqual([{ side: 'outside', from: 0, to: 1, stack: [] }]);
});

// Common practice, no source: wax over a logo keeps the dip off it; a handle is dipped by itself.
test('zones of areas: a waxed logo stays bare, a handle has its own glaze', () => {
  const areas = [{ name: 'logo', side: 'outside', from: 0.3, to: 0.6 }, { name: 'handle' }];
  const coats = [
    { glaze: 'A', side: 'outside', from: 0, to: 1, times: 1, not: ['logo'] },
    { glaze: 'B', area: 'handle', from: 0, to: 0.5, times: 2 },
  ];
  expect(zones({ areas, coats })).toEqual([
    { side: 'outside', from: 0, to: 1, stack: [{ glaze: 'A', times: 1 }] },
    { area: 'logo', stack: [] },
    { area: 'handle', from: 0, to: 0.5, stack: [{ glaze: 'B', times: 2 }] },
    { area: 'handle', from: 0.5, to: 1, stack: [] },
  ]);
});

test('bad input ends with 2 and one line a fault', () => {
  const coats = [{ glaze: '', side: 'outside', from: -1, to: 2, times: 0.5 }];
  const { status, stderr, stdout } = spawnSync(JITEN, ['zones'], {
    input: JSON.stringify({ coats }),
    encoding: 'utf8',
  });
  expect(status).toBe(2);
  expect(stdout).toBe('');
  expect(stderr.trim().split('\n')).toEqual([
    'coats[0].glaze: must not be empty',
    'coats[0].from: must be ≥ 0',
    'coats[0].to: must be ≤ 1',
    'coats[0].times: must be a whole number',
  ]);
});

test.each([
  [['zones'], '{"coats":[{"glaze":"A","area":"fins","times":1}]}', /^coats\[0\]\.area: is no area$/m],
  [
    ['zones'],
    '{"coats":[{"glaze":"A","side":"inside","from":0,"to":1,"times":1,"not":["fins"]}]}',
    /^coats\[0\]\.not\[0\]: is no area$/m,
  ],
  [['zones'], '{', /^input: not JSON/],
  [['zones'], '[]', /^input: /],
  [['melt'], '{}', /^usage: jiten COMMAND/],
  [
    ['zones'],
    '{"coats":[{"glaze":"A","side":"outside","from":0.5,"to":0.5,"times":1}]}',
    /^coats\[0\]\.from: must be below to/,
  ],
  [['measure'], '{"text":"5 kg","kind":"length"}', /^text: “kg” is a weight/],
  [['measure'], '{"text":"cone 15","kind":"cone"}', /^text: is no cone/],
  [['measure'], '{"text":"5","kind":"width","units":"uk"}', /^kind: .*\nunits: /],
])('%j with %s says what is wrong', (args, input, message) => {
  const { status, stderr } = spawnSync(JITEN, args, { input, encoding: 'utf8' });
  expect(status).toBe(2);
  expect(stderr).toMatch(message);
});

const answer = (command: string, input: unknown) =>
  JSON.parse(execFileSync(JITEN, [command], { input: JSON.stringify(input), encoding: 'utf8' }));

test('measure says what it understood, and what that comes to', () => {
  expect(answer('measure', { text: '1 lb 4 oz', kind: 'weight' })).toEqual({
    value: 1.25,
    unit: 'lb',
    canonical: 566.9904625,
  });
  expect(answer('measure', { text: '2', kind: 'volume', units: 'imperial' })).toEqual({
    value: 2,
    unit: 'gal',
    canonical: 9092.18,
  });
  expect(answer('measure', { text: '06', kind: 'cone' })).toEqual({ value: -5, unit: 'cone', canonical: -5 });
});

// Orton Ceramic Foundation, as tests/checks/firing.test.ts; the hold is common practice, no source.
test('cone and heatwork answer as the contract says', () => {
  expect(answer('cone', { cone: '5.5', rate: 60 })).toEqual({ cone: '5½', celsius: 1203 });
  expect(answer('cone', { celsius: 1212.5, rate: 60 })).toEqual({
    cone: '6',
    celsius: 1212.5,
    between: ['5½', '6'],
    fraction: 0.5,
  });
  const readings = [
    { minutes: 698, celsius: 1186 },
    { minutes: 0, celsius: 20 },
    { minutes: 686, celsius: 1186 },
    { minutes: 600, celsius: 1100 },
    { minutes: 900, celsius: 700 },
  ];
  const held = answer('heatwork', { readings });
  expect(held).toMatchObject({ cone: '5½', peakCelsius: 1186 });
  expect(held.coneIndex).toBeGreaterThan(5);
  expect(held.coneIndex).toBeLessThan(5.5);
  expect(spawnSync(JITEN, ['cone'], { input: '{"cone":"6","rate":200}', encoding: 'utf8' }).stderr).toMatch(
    /^rate: /,
  );
  expect(answer('heatwork', { readings: [{ minutes: 0, celsius: 20 }] })).toMatchObject({
    cone: null,
    coneIndex: null,
  });
});

// R. A. Fisher, The Design of Experiments (1935); Sharma, Wu and Dalal (2005), from memory.
test('contrast and colour answer as the contract says', () => {
  const tea = answer('contrast', {
    table: [
      [3, 1],
      [1, 3],
    ],
  });
  expect(tea.fisherTwoSided).toBeCloseTo(0.4857, 4);
  expect(tea).toMatchObject({ oddsRatio: 9, riskDifference: 0.5 });
  expect(
    answer('contrast', {
      table: [
        [0, 5],
        [5, 0],
      ],
    }),
  ).toMatchObject({ oddsRatio: 0, interval: [0, expect.any(Number)] });
  expect(
    answer('contrast', {
      strata: [
        [
          [1, 2],
          [3, 4],
        ],
        [
          [2, 1],
          [4, 3],
        ],
      ],
    }).mantelHaenszel,
  ).toBeGreaterThan(0);
  expect(spawnSync(JITEN, ['contrast'], { input: '{"table":[[1,2],[3,-1]]}', encoding: 'utf8' }).stderr).toBe(
    'table[1][1]: must be ≥ 0\n',
  );
  const pair = { a: { l: 50, a: 2.6772, b: -79.7751 }, b: { l: 50, a: 0, b: -82.7485 } };
  expect(answer('colour', pair).deltaE00).toBeCloseTo(2.0425, 4);
  expect(answer('colour', { a: '#ffffff', b: '#FFFFFF' })).toEqual({ deltaE00: 0 });
  expect(
    spawnSync(JITEN, ['colour'], { input: '{"a":"red","b":"#000000"}', encoding: 'utf8' }).stderr,
  ).toMatch(/^a: must be "#rrggbb"/);
});

test('cooling, watch, palette and bodylimit answer as the contract says', async () => {
  const ask = (args: readonly string[], input: unknown = null) =>
    JSON.parse(
      execFileSync(JITEN, args, { input: input === null ? '' : JSON.stringify(input), encoding: 'utf8' }),
    );
  const readings = Array.from({ length: 60 }, (_, i) => ({
    minutes: i * 10,
    celsius: 20 + 1180 * Math.exp(-0.003 * i * 10),
  }));
  const later = ask(['cooling'], { readings, to: 50 });
  expect(later.low).toBeLessThan(later.minutes);
  expect(later.high).toBeGreaterThan(later.minutes);
  expect(later.minutes).toBeGreaterThan(590);
  const whole = readings.concat([{ minutes: 1300, celsius: 44 }]);
  const kin = ask(['cooling'], { readings, to: 50, history: [whole, whole] });
  expect(kin.high - kin.low).toBeLessThan(later.high - later.low);
  const unknown = { minutes: null, low: null, high: null };
  expect(ask(['cooling'], { readings: readings.slice(0, 2), to: 50 })).toEqual(unknown);

  const usual = Array.from({ length: 19 }, () => [1, 20]);
  expect(ask(['watch'], { samples: [...usual, [20, 20]] })).toEqual({
    limits: expect.arrayContaining([expect.any(Number)]),
    out: [...usual.map(() => false), true],
    rise: null,
  });
  const rising = [...usual.slice(0, 8), ...Array.from({ length: 8 }, () => [9, 20])];
  expect(ask(['watch'], { samples: rising }).rise).toEqual({ from: 8, p: expect.any(Number) });

  const picture = join(mkdtempSync(join(tmpdir(), 'jiten-palette-')), 'zone.png');
  const blue = { input: { create: { width: 60, height: 200, channels: 3, background: '#3d5c8c' } } } as const;
  await sharp({ create: { width: 200, height: 200, channels: 3, background: '#5a3a22' } })
    .composite([{ ...blue, left: 0, top: 0 }])
    .png()
    .toFile(picture);
  const { colours, glare } = ask(['palette', picture]);
  expect(colours.map(({ share }: { share: number }) => share)).toEqual([
    expect.closeTo(0.7, 1),
    expect.closeTo(0.3, 1),
  ]);
  expect(glare).toBe(0);

  const tiles = Array.from({ length: 40 }, (_, i) => ({
    ...{ glaze: `${i % 8}`, expansion: 6.2 + (i % 8) * 0.2, thicknessMm: 0.3, ageDays: 0 },
    crazed: i % 8 > 4,
  }));
  const limit = ask(['bodylimit'], { tiles });
  expect(limit).toEqual({ ...limit, enough: true });
  expect(limit.low).toBeLessThan(limit.expansion);
  expect(ask(['bodylimit'], [{ tiles }, { tiles: tiles.slice(0, 3) }])).toEqual([
    limit,
    expect.objectContaining({ enough: false }),
  ]);
});
