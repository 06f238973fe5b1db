import { climbAt, coneAt, driftOf, type FiringWitness } from '@/core/firing';
import { Chance, percent, type Row, type Size } from './row';

/** How far the thermocouple of a kiln is off on a day, °C. */
type Off = (day: number) => number;

interface Setting {
  readonly name: string;
  readonly firings: number;
  readonly kiln: (
    chance: Chance,
    last: number,
  ) => { readonly off: Off; readonly changes?: readonly number[] };
  readonly hasStep?: boolean;
}

const constant = (chance: Chance): { off: Off } => {
  const value = chance.normal(0, 8);
  return { off: () => value };
};

const drifting = (chance: Chance): { off: Off } => {
  const [value, slope] = [chance.normal(0, 5), chance.pick([-1, 1]) * chance.between(0.5, 3)];
  return { off: (day) => value + (slope * day) / 30 };
};

const SETTINGS: readonly Setting[] = [
  { name: 'steady, 6 firings', firings: 6, kiln: constant },
  { name: 'steady, 40 firings', firings: 40, kiln: constant },
  { name: 'drifting, 12 firings', firings: 12, kiln: drifting },
  { name: 'drifting, 40 firings', firings: 40, kiln: drifting },
  {
    name: 'drifting, new elements noted, 24 firings',
    firings: 24,
    hasStep: true,
    kiln: (chance, last) => {
      const [{ off }, day] = [drifting(chance), Math.round(last * chance.between(0.3, 0.7))];
      return { off: (at) => off(at) - (at >= day ? 15 : 0), changes: [day] };
    },
  },
];

/** A firing whose cones and log tell the offset to about 3 °C. */
function witness(day: number, off: number, chance: Chance): FiringWitness {
  const shown = 6 + chance.normal(0, 0.2);
  return { day, shown, logged: coneAt(climbAt(shown, 60) + off + chance.normal(0, 3), 60)!.index };
}

/** The offset of a thermocouple today: how often its interval holds, and how often a step is seen where there is none. */
export function driftRows(size: Size): Row[] {
  const kilns = size === 'long' ? 1500 : 150;
  // Few kilns tell a share to a few per cent only.
  const give = size === 'long' ? 0 : 0.04;
  return SETTINGS.map(({ name, firings, kiln, hasStep }, n) => {
    const chance = new Chance(80 + n);
    let [held, stepped] = [0, 0];
    for (let i = 0; i < kilns; i++) {
      const days = Array.from({ length: firings }, (_, k) => k * 9 + chance.whole(0, 6));
      const { off, changes = [] } = kiln(chance, days.at(-1)!);
      const { offset, steps } = driftOf(
        days.map((day) => witness(day, off(day), chance)),
        changes.map((day) => ({ day, part: 'elements' })),
      );
      const truth = off(days.at(-1)!);
      if (offset && offset.low <= truth && truth <= offset.high) held++;
      if (steps.some(({ part }) => part === null)) stepped++;
    }
    const [coverage, wrong] = [held / kilns, stepped / kilns];
    return {
      model: 'offset of a thermocouple',
      setting: name,
      aim: `interval holds in 90 to 97 %${hasStep ? '' : ', false steps ≤ 5 %'}`,
      reached: `${percent(coverage)}${hasStep ? '' : `, ${percent(wrong)}`}`,
      isMet: coverage >= 0.9 - give && coverage <= 0.97 + give && (hasStep === true || wrong <= 0.05 + give),
    };
  });
}
