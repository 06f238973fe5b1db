import { expectedByGlaze, shareOf, watch, type Sample } from '@/core/evidence';
import { Chance, percent, type Row, type Size } from './row';

type Series = readonly { readonly count: number; readonly of: number; readonly expected?: number }[];

const samplesOf = (series: Series): Sample[] =>
  series.map((one, i) => ({ ...one, id: `${i}`, words: '', firings: [`${i}`] }));

/** Pieces that show it, of so many that each may. */
const drawn = (chance: Chance, of: number, share: number) =>
  Array.from({ length: of }).filter(() => chance.isTrue(share)).length;

/** A share that differs from firing to firing, as a normal deviate on its logit. */
const around = (chance: Chance, share: number, deviation: number) =>
  1 / (1 + Math.exp(-chance.normal(Math.log(share / (1 - share)), deviation)));

/** Firings of one glaze, all alike or each a little otherwise. */
function steady(chance: Chance, deviation: number): Series {
  return Array.from({ length: chance.whole(8, 40) }, () => {
    const of = chance.whole(3, 30);
    return { of, count: drawn(chance, of, around(chance, 0.15, deviation)) };
  });
}

/** A studio that grows: few pieces at first, many later, the same share in all. */
function growing(chance: Chance): Series {
  return Array.from({ length: 24 }, (_, i) => {
    const of = i < 12 ? chance.whole(1, 3) : chance.whole(12, 30);
    return { of, count: drawn(chance, of, 0.1) };
  });
}

/** A kiln that nothing happened to, while a glaze that pits on 40 % takes the place of one that does on 3 %. */
function otherGlazes(chance: Chance): Series {
  const samples = Array.from({ length: 20 }, (_, i) => {
    const pitted = i < 10 ? chance.whole(0, 3) : chance.whole(8, 14);
    const glazes = [
      { glaze: 'sound', of: 16 - pitted, count: drawn(chance, 16 - pitted, 0.03) },
      { glaze: 'pits', of: pitted, count: drawn(chance, pitted, 0.4) },
    ];
    return { of: 16, count: glazes[0]!.count + glazes[1]!.count, glazes };
  });
  const expected = expectedByGlaze(samples);
  return samples.map(({ of, count }, i) => ({ of, count, expected: expected[i]! }));
}

/** A share that trebles half way. */
function rising(chance: Chance): Series {
  return Array.from({ length: 24 }, (_, i) => {
    const of = chance.whole(8, 20);
    return { of, count: drawn(chance, of, around(chance, i < 12 ? 0.1 : 0.4, 0.5)) };
  });
}

/** How often a rise is claimed. */
function claimed(make: (chance: Chance) => Series, times: number, seed: number): number {
  const chance = new Chance(seed);
  return Array.from({ length: times }).filter(
    () => watch(samplesOf(make(chance)), () => chance.next()).rise !== null,
  ).length;
}

/** Defects going up: how often a rise is claimed where there is none, and where there is one. */
export function watchRows(size: Size): Row[] {
  const times = size === 'long' ? 1000 : 120;
  // A rise at p ≤ .02: what so many series may show by chance, 3 deviations above.
  const most = 0.02 + 3 * Math.sqrt((0.02 * 0.98) / times);
  const falsely = (setting: string, make: (chance: Chance) => Series, seed: number): Row => {
    const share = claimed(make, times, seed) / times;
    return {
      model: 'defects going up',
      setting,
      aim: `a rise claimed in ≤ 2 % (≤ ${percent(most)} of ${times})`,
      reached: percent(share),
      isMet: share <= most,
    };
  };
  const found = claimed(rising, times, 64);
  const { samples } = watch(
    samplesOf([...Array.from({ length: 19 }, () => ({ count: 1, of: 20 })), { count: 20, of: 20 }]),
    () => 0.5,
  );
  return [
    falsely('nothing changed', (chance) => steady(chance, 0), 60),
    falsely('firings that scatter', (chance) => steady(chance, 0.8), 61),
    falsely('a studio that grows', growing, 62),
    falsely('other glazes in a kiln', otherGlazes, 63),
    {
      model: 'defects going up',
      setting: '10 % before, 40 % after, firings that scatter',
      aim: 'found in ≥ 80 %',
      reached: `${percent(found / times)} (at least ${percent(shareOf(found, times, 0.9).interval[0])})`,
      isMet: found / times >= 0.8,
    },
    {
      model: 'defects going up',
      setting: '19 firings at 1 of 20, a last one at 20 of 20',
      aim: 'the last alone is out',
      reached: `out: ${samples.flatMap(({ isOut }, i) => (isOut ? [i + 1] : [])).join(', ') || 'none'}`,
      isMet: samples.every(({ isOut }, i) => isOut === (i === 19)),
    },
  ];
}
