import type { Cone, FiringKind, Form } from '@/core/vocabulary';
import { random } from '../random';
import type { Segment } from '../../src/core/firing';
import { EARLIER_FIRINGS, earlierPieces } from './months';
import { GAS, PROGRAMMES } from './programmes';
import { GRID } from './studio';

/** One coat of the story: glaze by name. */
export interface PlannedCoat {
  readonly glaze: string;
  readonly from: number;
  readonly to: number;
  readonly times: number;
  readonly side?: 'outside' | 'left' | 'right' | 'inside';
  readonly method?: 'dip' | 'pour' | 'brush';
}

export interface PlannedPiece {
  readonly form: Form;
  readonly body: string;
  readonly coats: readonly PlannedCoat[];
  /** Which glaze firing it goes into; null: still waiting. */
  readonly firing: string | null;
  readonly slipOnDryClay?: boolean;
  readonly note?: string;
  readonly maker: number;
  /** Days before today that it was made. */
  readonly madeDaysAgo: number;
}

export interface PlannedFiring {
  readonly key: string;
  readonly kiln: 'two' | 'stoker';
  readonly kind: FiringKind;
  readonly cone: Cone;
  readonly atmosphere: 'oxidation' | 'reduction';
  readonly daysAgo: number;
  /** How it was really fired; the electric kiln by its programme, the gas kiln by hand. */
  readonly segments: readonly Segment[];
  readonly state: 'closed' | 'open' | 'cooling' | 'loading';
  readonly programme: string;
  readonly remarks: string;
  readonly underReduced?: boolean;
}

/** A firing of class work, its pieces not numbered. */
export function classFiring(kiln: 'two' | 'stoker', daysAgo: number): PlannedFiring {
  const gas = kiln === 'stoker';
  return {
    key: `${kiln} ${daysAgo}`,
    kiln,
    kind: 'glaze',
    cone: gas ? '10' : '6',
    atmosphere: gas ? 'reduction' : 'oxidation',
    daysAgo,
    state: 'closed',
    segments: gas ? GAS : PROGRAMMES['Cone 6, slow end'],
    programme: gas ? 'Body reduction from 900 °C, medium' : '',
    remarks: 'Class work, pieces not numbered.',
  };
}

/** The numbered firings of eighteen months, in the order they are told. */
export const FIRINGS: readonly PlannedFiring[] = [
  ...EARLIER_FIRINGS,
  {
    key: 'two2',
    kiln: 'two',
    kind: 'glaze',
    cone: '6',
    atmosphere: 'oxidation',
    daysAgo: 57,
    state: 'closed',
    segments: PROGRAMMES['Cone 6, slow end'],
    programme: '',
    remarks: 'Grid, first board.',
  },
  {
    key: 'two3',
    kiln: 'two',
    kind: 'glaze',
    cone: '6',
    atmosphere: 'oxidation',
    daysAgo: 43,
    state: 'closed',
    segments: PROGRAMMES['Cone 6, slow end'],
    programme: '',
    remarks: 'Grid, second board.',
  },
  {
    key: 'ladder',
    kiln: 'two',
    kind: 'glaze',
    cone: '6',
    atmosphere: 'oxidation',
    daysAgo: 112,
    state: 'closed',
    segments: PROGRAMMES['Cone 6, slow end'],
    programme: '',
    remarks: 'The ladder for the porcelain, with class work around it.',
  },
  {
    key: 'stoker1',
    kiln: 'stoker',
    kind: 'glaze',
    cone: '10',
    atmosphere: 'reduction',
    daysAgo: 36,
    state: 'closed',
    segments: GAS,
    programme: 'Body reduction from 900 °C, light to the end',
    remarks: 'Damper stuck half open for an hour.',
    underReduced: true,
  },
  {
    key: 'two4',
    kiln: 'two',
    kind: 'glaze',
    cone: '6',
    atmosphere: 'oxidation',
    daysAgo: 22,
    state: 'closed',
    segments: PROGRAMMES['Cone 6, slow end'],
    programme: '',
    remarks: 'Grid, third board, and twins of the doubtful ones.',
  },
  {
    key: 'two5',
    kiln: 'two',
    kind: 'glaze',
    cone: '6',
    atmosphere: 'oxidation',
    daysAgo: 1,
    state: 'cooling',
    segments: PROGRAMMES['Cone 6, slow end'],
    programme: '',
    remarks: '',
  },
  {
    key: 'two6',
    kiln: 'two',
    kind: 'glaze',
    cone: '6',
    atmosphere: 'oxidation',
    daysAgo: -1,
    state: 'loading',
    segments: PROGRAMMES['Cone 6, slow end'],
    programme: '',
    remarks: 'Last cells of the board, and the ladder.',
  },
  {
    key: 'stoker2',
    kiln: 'stoker',
    kind: 'glaze',
    cone: '10',
    atmosphere: 'reduction',
    daysAgo: -2,
    state: 'loading',
    segments: GAS,
    programme: 'Body reduction from 900 °C, medium',
    remarks: '',
  },
];

const SPLIT: readonly PlannedCoat[] = [{ glaze: 'Whitestrip', from: 0, to: 1, times: 1, side: 'left' }];

/** A tile of the board: white slip on the left half, base once, the other glaze once and, above, twice. */
function gridTile(base: string, top: string, firing: string | null, madeDaysAgo: number): PlannedPiece {
  const coats =
    base === top
      ? [
          { glaze: base, from: 0.08, to: 1, times: 1 },
          { glaze: base, from: 0.5, to: 1, times: 1 },
        ]
      : [
          { glaze: base, from: 0.08, to: 1, times: 1 },
          { glaze: top, from: 0.24, to: 1, times: 1 },
          { glaze: top, from: 0.58, to: 1, times: 1 },
        ];
  return { form: 'tile', body: 'Cutting Red', coats: [...SPLIT, ...coats], firing, maker: 0, madeDaysAgo };
}

/** Cells of the board in the order they were fired; the last twenty or so are still to come. */
function gridOrder(): [string, string][] {
  const next = random('board');
  const all = GRID.flatMap((base) => GRID.map((top): [string, string] => [base, top]));
  const keyed = all.map((pair) => ({ pair, key: pair[0] === pair[1] ? -1 : next() }));
  return keyed.sort((a, b) => a.key - b.key).map(({ pair }) => pair);
}

/** Where the twin of each cell of the board went, and when it was made, days ago. */
const SECOND_BOARD: readonly (readonly [string, number])[] = [
  ['two4', 40],
  ['early11', 212],
  ['early12', 156],
];

/** Cells fired again because they were doubtful. */
const TWINS: readonly (readonly [string, string])[] = [
  ['Sleeper', 'Limewash'],
  ['Limewash', 'Sleeper'],
  ['Plum Siding', 'Plum Siding'],
  ['Ash Tip', 'Slate Bank'],
  ['Kettle Blue', 'Guard Green'],
  ['Chalk Cut', 'Chalk Cut'],
  ['Guard Green', 'Verdigris Gate'],
  ['Rust Yard', 'Limewash'],
];

function singles(): PlannedPiece[] {
  const tile = (
    body: string,
    glaze: string,
    firing: string | null,
    maker: number,
    daysAgo: number,
  ): PlannedPiece => ({
    form: 'tile',
    body,
    coats: [
      { glaze, from: 0.1, to: 1, times: 1 },
      { glaze, from: 0.52, to: 1, times: 1 },
    ],
    firing,
    maker,
    madeDaysAgo: daysAgo,
  });
  return [
    ...['two3', 'two3', 'two4'].map((firing) => tile('Viaduct Porcelain', 'Lamp Clear', firing, 1, 60)),
    ...['two3', 'two4'].map((firing) => tile('Buffer White', 'Lamp Clear', firing, 1, 60)),
    ...['Guard Green', 'Kettle Blue', 'Slate Bank', 'Verdigris Gate'].flatMap((glaze) =>
      ['two3', 'two4'].map((firing) => tile('Viaduct Porcelain', glaze, firing, 1, 60)),
    ),
    ...['Kettle Blue', 'Verdigris Gate', 'Guard Green', 'Sleeper'].map((glaze) =>
      tile('Buffer White', glaze, 'two4', 0, 40),
    ),
    ...['Kettle Blue', 'Limewash', 'Rust Yard'].map((glaze) => tile('Tunnel Black', glaze, 'two4', 3, 40)),
  ];
}

function ware(): PlannedPiece[] {
  const cup = (
    body: string,
    coats: readonly PlannedCoat[],
    firing: string | null,
    maker: number,
    madeDaysAgo: number,
    more: Partial<PlannedPiece> = {},
  ): PlannedPiece => ({ form: 'cup', body, coats, firing, maker, madeDaysAgo, ...more });
  const lined = (liner: string, outer: string): PlannedCoat[] => [
    { glaze: liner, from: 0, to: 1, times: 1, side: 'inside', method: 'pour' },
    { glaze: outer, from: 0.1, to: 0.92, times: 1, side: 'outside' },
  ];
  const foggy: PlannedCoat[] = [
    { glaze: 'Slate Bank', from: 0.08, to: 0.7, times: 1 },
    { glaze: 'Fogman', from: 0.4, to: 1, times: 1 },
  ];
  return [
    ...['two3', 'two4', 'two4'].map((firing, i) => cup('Buffer White', foggy, firing, 2 + (i % 3), 50)),
    ...['Plum Siding', 'Plum Siding', 'Guard Green', 'Guard Green', 'Sleeper', 'Rust Yard'].map(
      (glaze, i): PlannedPiece => ({
        form: i % 2 ? 'bowl' : 'cup',
        body: i % 2 ? 'Buffer White' : 'Embankment Buff',
        coats: [{ glaze, from: 0.15, to: 1, times: 1, side: 'outside' }],
        firing: 'stoker1',
        maker: 1 + (i % 4),
        madeDaysAgo: 48,
      }),
    ),
    ...['Guard Green', 'Plum Siding', 'Ash Tip'].map((glaze): PlannedPiece => ({
      form: 'tile',
      body: 'Buffer White',
      coats: [
        { glaze, from: 0.12, to: 1, times: 1 },
        { glaze, from: 0.55, to: 1, times: 1 },
      ],
      firing: 'stoker1',
      maker: 0,
      madeDaysAgo: 48,
    })),
    ...['two4', 'two4'].map((firing): PlannedPiece => ({
      form: 'bowl',
      body: 'Buffer White',
      coats: [
        { glaze: 'Sootline', from: 0, to: 1, times: 1 },
        { glaze: 'Lamp Clear', from: 0.12, to: 1, times: 1 },
      ],
      firing,
      slipOnDryClay: true,
      note: 'Slip went on late, the clay was nearly dry.',
      maker: 2,
      madeDaysAgo: 33,
    })),
    cup('Buffer White', lined('Lamp Clear', 'Kettle Blue'), 'two5', 2, 12),
    cup('Buffer White', lined('Limewash', 'Sleeper'), 'two5', 3, 12),
    cup('Embankment Buff', lined('Lamp Clear', 'Rust Yard'), 'two5', 4, 12),
    ...[0, 1, 2].map((i): PlannedPiece => ({
      form: 'tile',
      body: 'Buffer White',
      coats: [
        { glaze: 'Sleeper', from: 0.08, to: 0.62, times: 1 },
        { glaze: 'Limewash', from: 0.38, to: 1, times: 1 + Math.min(1, i) },
      ],
      firing: 'two5',
      maker: 4,
      madeDaysAgo: 9,
    })),
    ...['Kettle Blue', 'Guard Green', 'Limewash', 'Rust Yard', 'Ash Tip'].flatMap((glaze, i) =>
      [0, 1].map(() => cup('Buffer White', lined('Lamp Clear', glaze), 'two5', 2 + (i % 3), 11)),
    ),
    ...['Ash Tip', 'Verdigris Gate', 'Plum Siding', 'Guard Green'].map((glaze, i) =>
      cup(
        'Embankment Buff',
        [{ glaze, from: 0.2, to: 1, times: 1, side: 'outside' }],
        i < 2 ? 'stoker2' : null,
        1 + i,
        5,
      ),
    ),
    {
      form: 'plate',
      body: 'Buffer White',
      coats: [
        { glaze: 'Guard Green', from: 0, to: 1, times: 1, side: 'inside', method: 'pour' },
        { glaze: 'Points Iron', from: 0.7, to: 0.8, times: 1, side: 'inside', method: 'brush' },
      ],
      firing: null,
      maker: 2,
      madeDaysAgo: 3,
    },
    {
      form: 'bowl',
      body: 'Viaduct Porcelain',
      coats: [
        { glaze: 'Lamp Clear', from: 0, to: 1, times: 1, side: 'inside', method: 'pour' },
        { glaze: 'Kettle Blue', from: 0.3, to: 1, times: 1, side: 'outside' },
      ],
      firing: null,
      maker: 4,
      madeDaysAgo: 2,
    },
    { form: 'ring strip', body: 'Embankment Buff', coats: [], firing: null, maker: 1, madeDaysAgo: 1 },
  ];
}

/** Everything that was made in eighteen months, in the order it was made. */
export function plannedPieces(): PlannedPiece[] {
  const board = gridOrder();
  const grid = [
    ...board.slice(0, 34).map(([base, top]) => gridTile(base, top, 'two2', 75)),
    ...board.slice(34, 62).map(([base, top]) => gridTile(base, top, 'two3', 70)),
    ...board.slice(62, 82).map(([base, top]) => gridTile(base, top, 'two4', 66)),
    ...TWINS.map(([base, top]) => gridTile(base, top, 'two4', 40)),
    ...board.slice(82, 90).map(([base, top]) => gridTile(base, top, 'two5', 15)),
    ...board.slice(0, 82).map(([base, top], i) => gridTile(base, top, ...SECOND_BOARD[i % 3]!)),
    ...board.slice(90, 94).map(([base, top]) => gridTile(base, top, null, 4)),
  ];
  return [...earlierPieces(), ...grid, ...singles(), ...ware()].sort((a, b) => b.madeDaysAgo - a.madeDaysAgo);
}
