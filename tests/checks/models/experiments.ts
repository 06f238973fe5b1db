import { naturalExperiments, shareOf, type FiredZoneFacts, type NaturalExperiment } from '@/core/evidence';
import { Chance, percent, type Row, type Size } from './row';

const GLAZES = ['Limewash', 'Sleeper', 'Ballast', 'Ash Tip', 'Chalk Cut', 'Slate Bank'];
const BODIES = ['Buffer White', 'Cutting Red', 'Embankment Buff'];

/** Scatter of firings and of pieces on the logit of a defect. */
const SCATTER = { firing: 0.8, piece: 0.8 };

interface Plan {
  readonly tiles: number;
  /** Pieces of a firing. */
  readonly sizes: (chance: Chance) => number;
  /** What is added to the logit, by what was done. */
  readonly effect?: (zone: FiredZoneFacts) => number;
  /** Firings that are not at their cone have so many times fewer pieces. */
  readonly isUneven?: boolean;
  /** How many glazes there are; all when left out. */
  readonly glazes?: number;
  /** Shelves are hotter and cooler by this from firing to firing. */
  readonly hotSpot?: number;
}

const logistic = (x: number) => 1 / (1 + Math.exp(-x));

/** A studio whose tiles carry three zones each: a glaze once, the same twice, and another over it. */
function studio(plan: Plan, chance: Chance): FiredZoneFacts[] {
  const zones: FiredZoneFacts[] = [];
  const glazes = GLAZES.slice(0, plan.glazes);
  for (let firing = 0, tile = 0; tile < plan.tiles; firing++) {
    const reached = chance.pick(['at', 'at', 'over'] as const);
    const ofFiring = chance.normal(0, SCATTER.firing);
    const hot = Array.from({ length: 3 }, () => chance.normal(0, plan.hotSpot ?? 0));
    const cooling = chance.pick(['free', 'held'] as const);
    const batches = `S${1 + Math.floor(firing / 8)}`;
    const pieces = Math.min(
      plan.tiles - tile,
      Math.max(2, Math.round(plan.sizes(chance) / (plan.isUneven && reached === 'over' ? 8 : 1))),
    );
    for (let i = 0; i < pieces; i++, tile++) {
      const shelf = chance.whole(1, 3);
      const [base, top] = [chance.pick(glazes), chance.pick(glazes)];
      const dried = chance.isTrue(0.5);
      const ofPiece = chance.normal(0, SCATTER.piece);
      const piece = {
        ...{
          pieceId: `p${tile}`,
          firing: `two ${firing}`,
          kiln: 'Number Two',
          cone: '6',
          atmosphere: 'oxidation',
        },
        ...{ shelf: `${shelf}`, body: chance.pick(BODIES), slips: '', batches, reached, cooling, clay: null },
        ...{ place: 'outside', form: 'tile', texture: null },
      };
      const stacks = [
        [{ glaze: base, times: 1 }],
        [{ glaze: base, times: 2 }],
        ...(base === top
          ? []
          : [
              [
                { glaze: base, times: 1 },
                { glaze: top, times: 1 },
              ],
            ]),
      ];
      for (const layers of stacks) {
        const zone = { ...piece, layers, dried: layers.length > 1 ? dried : null, hasDefect: false };
        const logit = -1.6 + ofFiring + ofPiece + hot[shelf - 1]! + (plan.effect?.(zone) ?? 0);
        zones.push({ ...zone, hasDefect: chance.isTrue(logistic(logit)) });
      }
    }
  }
  return zones;
}

const isFind = ({ q, factor }: NaturalExperiment) => q < 0.05 && factor !== 'firing';

/** The finds of so many studios. */
function finds(plan: Plan, studios: number, seed: number): NaturalExperiment[][] {
  const chance = new Chance(seed);
  return Array.from({ length: studios }, () => naturalExperiments(studio(plan, chance)).filter(isFind));
}

/** The factor that is found most often, and in how many studios. */
function mostFound(found: readonly (readonly NaturalExperiment[])[]): readonly [string, number] {
  const counts = new Map<string, number>([['none', 0]]);
  for (const own of found)
    for (const factor of new Set(own.map((one) => one.factor)))
      counts.set(factor, (counts.get(factor) ?? 0) + 1);
  return [...counts].reduce((most, one) => (one[1] > most[1] ? one : most));
}

const even = (chance: Chance) => chance.whole(20, 28);
const uneven = (chance: Chance) => Math.round(chance.scaled(4, 80));

/** What firings did: false finds where nothing is the matter, and how often what is the matter is found. */
export function experimentRows(size: Size): Row[] {
  const long = size === 'long';
  const nothing: readonly (readonly [string, Plan])[] = [
    ['nothing, firings alike in size', { tiles: 480, sizes: even }],
    ['nothing, firings of 4 to 80', { tiles: 480, sizes: uneven }],
    ['nothing, firings over their cone are small', { tiles: 480, sizes: even, isUneven: true }],
    ['nothing, hot spots that wander', { tiles: 480, sizes: even, hotSpot: 0.8 }],
  ];
  const odds = (times: number, isOn: (zone: FiredZoneFacts) => boolean) => (zone: FiredZoneFacts) =>
    isOn(zone) ? Math.log(times) : 0;
  const planted: readonly (readonly [string, number, Plan, (one: NaturalExperiment) => boolean])[] = [
    [
      'a clay at odds 3, 960 tiles',
      0.45,
      { tiles: 960, sizes: even, effect: odds(3, ({ body }) => body === 'Cutting Red') },
      ({ factor, levels }) => factor === 'body' && levels[0] === 'Cutting Red',
    ],
    [
      'two coats at odds 3, 960 tiles',
      0.5,
      {
        tiles: 960,
        sizes: even,
        effect: odds(3, ({ layers }) => layers.length === 1 && layers[0]!.times > 1),
      },
      ({ factor, levels }) => factor === 'coats' && levels[0] === 'twice',
    ],
    [
      'wet between coats at odds 8, 1920 tiles',
      0.5,
      { tiles: 1920, sizes: even, effect: odds(8, ({ dried }) => dried === false) },
      ({ factor, levels }) => factor === 'drying' && levels[0] === 'layers wet on wet',
    ],
    [
      'an order of two of three glazes at odds 8, 1920 tiles',
      0.5,
      {
        tiles: 1920,
        glazes: 3,
        sizes: even,
        effect: odds(
          8,
          ({ layers: [below, top] }) => below?.glaze === 'Sleeper' && top?.glaze === 'Limewash',
        ),
      },
      ({ factor, levels }) => factor === 'order' && levels[0].startsWith('Limewash over Sleeper'),
    ],
    [
      'firings over their cone at odds 8, 960 tiles',
      0.5,
      { tiles: 960, sizes: even, effect: odds(8, ({ reached }) => reached === 'over') },
      ({ factor, levels }) => factor === 'reached' && levels[0] === 'over the cone',
    ],
  ];
  return [
    ...nothing.map(([setting, plan], n): Row => {
      const studios = long ? 300 : 24;
      const [factor, count] = mostFound(finds(plan, studios, 200 + n));
      const upper = shareOf(count, studios, 0.9).interval[1];
      return {
        model: 'natural experiments',
        setting,
        aim: long
          ? 'false finds of every factor: upper 95 % bound ≤ 8 %'
          : 'false finds of every factor in at most 3 of 24 studios',
        reached: `${count} of ${studios}, ${factor} (at most ${percent(upper)})`,
        isMet: long ? upper <= 0.08 : count <= 3,
      };
    }),
    ...planted.map(([setting, aim, plan, isIt], n): Row => {
      const studios = long ? 60 : 4;
      const count = finds(plan, studios, 220 + n).filter((found) => found.some(isIt)).length;
      return {
        model: 'natural experiments',
        setting,
        aim: `found in ≥ ${percent(aim)}`,
        reached: `${count} of ${studios}`,
        isMet: count / studios >= aim,
      };
    }),
  ];
}
