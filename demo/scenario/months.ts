import { random } from '../random';
import type { PlannedCoat, PlannedFiring, PlannedPiece } from './plan';
import { GAS, PROGRAMMES } from './programmes';
import { GRID } from './studio';

/** Days before today of the numbered firings before the last board, and their keys. */
const NUMBER_TWO = [538, 511, 486, 458, 431, 405, 376, 318, 285, 255, 228, 200, 144];
const STOKER = [505, 420, 290, 130];

/** The firings of the first fifteen months whose pieces were numbered. */
export const EARLIER_FIRINGS: readonly PlannedFiring[] = [
  ...NUMBER_TWO.map((daysAgo, i): PlannedFiring => ({
    key: `early${i}`,
    kiln: 'two',
    kind: 'glaze',
    cone: '6',
    atmosphere: 'oxidation',
    daysAgo,
    state: 'closed',
    segments: PROGRAMMES[i % 4 === 3 ? 'Cone 6, drop and hold' : 'Cone 6, slow end'],
    programme: '',
    remarks: i === 5 ? 'Climbed well on the new elements.' : i === 12 ? 'Slow past 1100, 40 min late.' : '',
  })),
  ...STOKER.map((daysAgo, i): PlannedFiring => ({
    key: `gas${i}`,
    kiln: 'stoker',
    kind: 'glaze',
    cone: '10',
    atmosphere: 'reduction',
    daysAgo,
    state: 'closed',
    segments: GAS,
    programme: 'Body reduction from 900 °C, medium',
    remarks: '',
  })),
];

/** Days that a piece waits between its making and its firing. */
const WAIT = 12;

/** A number of the earlier firings of Number Two, walked through so that twins never share one. */
function place(n: number): { firing: string; madeDaysAgo: number } {
  const i = ((n % NUMBER_TWO.length) + NUMBER_TWO.length) % NUMBER_TWO.length;
  return { firing: `early${i}`, madeDaysAgo: NUMBER_TWO[i]! + WAIT };
}

const tile = (
  body: string,
  coats: readonly PlannedCoat[],
  at: { firing: string; madeDaysAgo: number },
  more: Partial<PlannedPiece> = {},
): PlannedPiece => ({ form: 'tile', body, coats, maker: 0, ...at, ...more });

/** Every glaze once and twice on every clay but the red one, which has its board; the clays side by side. */
function clayComparison(): PlannedPiece[] {
  const glazes = [...GRID, 'Lamp Clear', 'Fogman'];
  const bodies = ['Buffer White', 'Embankment Buff', 'Viaduct Porcelain', 'Tunnel Black'];
  return bodies.flatMap((body, b) =>
    glazes.flatMap((glaze, g) =>
      [0, 1].map((twin) =>
        tile(
          body,
          [
            { glaze, from: 0.1, to: 1, times: 1 },
            { glaze, from: 0.52, to: 1, times: 1 },
          ],
          place(g * 2 + twin * 5),
          { maker: (b + twin) % 5 },
        ),
      ),
    ),
  );
}

/** One, two and three dips of every glaze, so that what goes wrong where it is thick can be seen. */
function coatsLadder(): PlannedPiece[] {
  return [...GRID, 'Lamp Clear', 'Fogman'].flatMap((glaze, g) =>
    [1, 2, 3].flatMap((times) =>
      [0, 1].map((twin) =>
        tile('Buffer White', [{ glaze, from: 0.1, to: 1, times }], place(g + times * 4 + twin * 6), {
          form: twin ? 'ring strip' : 'tile',
          maker: 1,
        }),
      ),
    ),
  );
}

/** Black slip on leather-hard and on nearly dry clay, a clear or a blue over it. */
function slipTests(): PlannedPiece[] {
  return Array.from({ length: 16 }, (_, i): PlannedPiece => {
    const dry = i % 2 === 1;
    return tile(
      'Buffer White',
      [
        { glaze: 'Sootline', from: 0, to: 1, times: 1 },
        { glaze: i % 4 < 2 ? 'Lamp Clear' : 'Kettle Blue', from: 0.12, to: 1, times: 1 },
      ],
      place(6 + Math.floor(i / 4)),
      {
        maker: 2,
        slipOnDryClay: dry,
        note: dry ? 'Slip on nearly dry clay.' : 'Slip on leather-hard clay.',
      },
    );
  });
}

/** The gas kiln's own tiles: what it is fired for. */
function gasTiles(): PlannedPiece[] {
  const glazes = ['Guard Green', 'Plum Siding', 'Ash Tip', 'Sleeper', 'Limewash', 'Rust Yard'];
  return STOKER.flatMap((daysAgo, f) =>
    ['Buffer White', 'Embankment Buff'].flatMap((body) =>
      glazes.map((glaze) =>
        tile(
          body,
          [
            { glaze, from: 0.14, to: 1, times: 1 },
            { glaze, from: 0.56, to: 1, times: 1 },
          ],
          { firing: `gas${f}`, madeDaysAgo: daysAgo + WAIT },
        ),
      ),
    ),
  );
}

/** Cups of porcelain with the clear as a liner: where the crazing was first complained of. */
function porcelainCups(): PlannedPiece[] {
  return Array.from({ length: 12 }, (_, i) =>
    tile(
      'Viaduct Porcelain',
      [
        { glaze: 'Lamp Clear', from: 0, to: 1, times: 1, side: 'inside', method: 'pour' },
        { glaze: ['Kettle Blue', 'Guard Green', 'Lamp Clear'][i % 3]!, from: 0.12, to: 1, times: 1 },
      ],
      place(3 + i),
      { form: 'cup', maker: 1 + (i % 4) },
    ),
  );
}

/** What members put in beside the tests: ware in two glazes, not always wisely. */
function memberWare(): PlannedPiece[] {
  const next = random('members');
  const any = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  return Array.from({ length: 120 }, (_, i) => {
    const [low, high] = [any(GRID), any([...GRID, 'Fogman'])];
    const edge = 0.35 + next() * 0.3;
    return tile(
      any(['Buffer White', 'Buffer White', 'Embankment Buff', 'Cutting Red', 'Tunnel Black']),
      [
        { glaze: low, from: 0.1, to: Math.round((edge + 0.15) * 50) / 50, times: 1, side: 'outside' },
        {
          glaze: high,
          from: Math.round(edge * 50) / 50,
          to: 1,
          times: 1 + (i % 7 === 0 ? 1 : 0),
          side: 'outside',
        },
      ],
      place(i),
      { form: any(['cup', 'cup', 'bowl', 'other']), maker: 2 + (i % 3) },
    );
  });
}

/** Everything numbered before the last board. */
export function earlierPieces(): PlannedPiece[] {
  return [
    ...clayComparison(),
    ...coatsLadder(),
    ...slipTests(),
    ...gasTiles(),
    ...porcelainCups(),
    ...memberWare(),
  ];
}
