import { coneIndex, CONE_TABLE, heatWork, TABLE_RATES, type CurvePoint } from '@/core/firing';
import { CONES } from '@/core/vocabulary';
import { percent, type Row, type Size } from './row';

const climb = (rate: number, to: number, hold = 0): CurvePoint[] => [
  { minutes: 0, celsius: 20 },
  { minutes: ((to - 20) / rate) * 60, celsius: to },
  { minutes: ((to - 20) / rate) * 60 + hold, celsius: to },
];

/**
 * Cone equivalent: how far steady climbs to the published end points are from the cone they are published for, and
 * whether more heat ever brings it down.
 *
 * Source of the end points: Orton Ceramic Foundation, self-supporting large cones; figures from memory.
 */
export function coneRows(size: Size): Row[] {
  const misses = CONES.flatMap((cone) =>
    TABLE_RATES.flatMap((rate, i) => {
      const celsius = CONE_TABLE[cone][i];
      if (celsius === null) return [];
      return [Math.abs(heatWork(climb(rate, celsius!)).coneIndex! - coneIndex(cone)!)];
    }),
  );
  const mean = misses.reduce((sum, miss) => sum + miss, 0) / misses.length;
  let [tried, fell] = [0, 0];
  for (const rate of [15, 40, 60, 100, 150, 250])
    for (const hold of [0, 15, 60, 300])
      for (let to = 700; to < 1340; to += size === 'long' ? 7 : 80) {
        const at = (celsius: number, held: number) => heatWork(climb(rate, celsius, held)).coneIndex;
        const [now, hotter, longer] = [at(to, hold), at(to + 1, hold), at(to, hold + 5)];
        if (now === null || hotter === null || longer === null) continue;
        tried++;
        if (hotter < now || longer < now) fell++;
      }
  return [
    {
      model: 'cone equivalent',
      setting: `${misses.length} published end points`,
      aim: 'mean ≤ 0.02, worst ≤ 0.08 cone',
      reached: `${mean.toFixed(3)}, ${Math.max(...misses).toFixed(3)}`,
      isMet: mean <= 0.02 && Math.max(...misses) <= 0.08,
    },
    {
      model: 'cone equivalent',
      setting: `${tried} climbs and holds, each a little hotter and a little longer`,
      aim: 'never falls',
      reached: `${percent(fell / tried)} fell`,
      isMet: fell === 0,
    },
  ];
}
