import { z } from 'zod';
import { EDGE_TOLERANCE, zonesOf, type Area, type Coat, type Zone } from '../../src/core/coats';
import { SIDES } from '../../src/core/vocabulary';
import type { Command } from './main';

const fraction = z.number('must be a number').min(0, 'must be ≥ 0').max(1, 'must be ≤ 1');
const name = z.string('must be a name').trim().min(1, 'must not be empty');
const side = z.enum(SIDES, `must be one of ${SIDES.join(', ')}`);
const times = z.int('must be a whole number').min(1, 'must be ≥ 1');
const not = z.array(name, 'must be a list').optional();

const isBand = ({ from, to }: { readonly from: number; readonly to: number }) => to - from > EDGE_TOLERANCE;
const BELOW = { path: ['from'], message: 'must be below to' };
/** All of an area, where nothing else is said. */
const from = fraction.default(0);
const to = fraction.default(1);

const onSide = z
  .object({ glaze: name, side, from: fraction, to: fraction, times, not })
  .refine(isBand, BELOW);
const onArea = z.object({ glaze: name, area: name, from, to, times }).refine(isBand, BELOW);

const schema = z
  .object({
    areas: z
      .array(z.object({ name, side: side.optional(), from, to }).refine(isBand, BELOW), 'must be a list')
      .default([]),
    coats: z.array(z.unknown(), 'must be a list').transform((coats, context) =>
      coats.flatMap((coat, i) => {
        const isOnArea = typeof coat === 'object' && coat !== null && 'area' in coat;
        const read = (isOnArea ? onArea : onSide).safeParse(coat);
        if (read.success) return [read.data];
        for (const { path, message } of read.error.issues)
          context.addIssue({ code: 'custom', path: [i, ...path], message });
        return [];
      }),
    ),
  })
  .superRefine(({ areas, coats }, context) => {
    const names = areas.map((area) => area.name);
    const refuse = (path: (string | number)[], message: string) =>
      context.addIssue({ code: 'custom', path, message });
    for (const [i, one] of names.entries())
      if (names.indexOf(one) < i) refuse(['areas', i, 'name'], 'is there twice');
    for (const [i, coat] of coats.entries()) {
      if ('area' in coat && !names.includes(coat.area)) refuse(['coats', i, 'area'], 'is no area');
      if ('not' in coat)
        for (const [n, one] of (coat.not ?? []).entries())
          if (!names.includes(one)) refuse(['coats', i, 'not', n], 'is no area');
    }
  });

/** A zone as it is answered: one of an area is named by it, and measured only where a coat covers a part of it. */
function answered({ area, side: on, from: low, to: high, stack }: Zone) {
  if (area === undefined) return { side: on, from: low, to: high, stack };
  return low === 0 && high === 1 ? { area, stack } : { area, from: low, to: high, stack };
}

/** `zones`: the zones of a piece, foot to rim, bare stretches included; then those of its areas. */
export const zones: Command = (input) => {
  const parsed = schema.safeParse(input);
  if (!parsed.success) return { errors: parsed.error };
  const areas = parsed.data.areas.map((area): Area => ({ ...area, side: area.side ?? null }));
  const sideOf = (area: string) => areas.find((one) => one.name === area)?.side ?? 'outside';
  const coats = parsed.data.coats.map((coat): Coat => {
    if ('area' in coat) return { ...coat, side: sideOf(coat.area) };
    const { not: kept, ...rest } = coat;
    return { ...rest, ...(kept && { not: kept }) };
  });
  return { answer: { zones: zonesOf(coats, areas).map(answered) } };
};
