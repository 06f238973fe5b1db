import type { KilnBuild } from '../../src/simulator/thermal';

/** What the two kilns are really made of; wear and offset of Number Two follow from its story. */
export const BUILDS: Readonly<Record<'two' | 'stoker', Omit<KilnBuild, 'wear' | 'offset'>>> = {
  two: { heat: 'electric', litres: 190, kilowatts: 13, noise: 0.6 },
  stoker: { heat: 'gas', litres: 500, kilowatts: 40, noise: 1.2 },
};

/** Days before today that Number Two got new elements and a new thermocouple. */
export const REPAIRED = 64;

/** Its thermocouple crept up over the year, by °C a day, until it was corrected. */
const CREEP = 0.03;

/** Days before today that the story begins, with new elements in Number Two. */
export const BEGINS = 548;

/** Wear and offset of a kiln on a day, counted back from today. */
export function ageOf(kiln: 'two' | 'stoker', daysAgo: number): Pick<KilnBuild, 'wear' | 'offset'> {
  if (kiln === 'stoker') return { wear: 0, offset: 3 };
  if (daysAgo < REPAIRED) return { wear: 0.05, offset: 2 + (REPAIRED - daysAgo) * 0.01 };
  return {
    wear: 0.2 + ((BEGINS - daysAgo) / (BEGINS - REPAIRED)) * 0.6,
    offset: 2 + (BEGINS - daysAgo) * CREEP,
  };
}

/** Firings of class work whose pieces were never numbered: days ago and what they were. */
export const CLASS_FIRINGS: readonly { readonly kiln: 'two' | 'stoker'; readonly daysAgo: number }[] = [
  ...[390, 362, 335, 301, 270, 241, 214, 186, 158, 131, 103, 80].map((daysAgo) => ({
    kiln: 'two' as const,
    daysAgo,
  })),
  ...[330, 250, 172, 96].map((daysAgo) => ({ kiln: 'stoker' as const, daysAgo })),
];

/** What was changed in the kilns. */
export const PARTS = [
  { kiln: 'two', part: 'elements', daysAgo: BEGINS, note: 'All six, full set.' },
  {
    kiln: 'two',
    part: 'elements',
    daysAgo: REPAIRED,
    note: 'Full set; the climb past 1100 had become slow.',
  },
  { kiln: 'two', part: 'thermocouple', daysAgo: REPAIRED, note: 'The old tip had thinned.' },
  { kiln: 'stoker', part: 'burner', daysAgo: 210, note: 'Jets cleaned by the gas fitter.' },
] as const;
