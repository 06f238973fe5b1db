import { z } from 'zod';
import {
  additionLadder,
  fourCorners,
  lineBlend,
  MOST_CELLS,
  overlapGrid,
  triaxial,
  type Plan,
} from '../../src/core/rounds';
import type { Command } from './main';
import { linesSchema } from './recipe';

const named = z.object({
  name: z.string('must be a name').trim().min(1, 'must not be empty'),
  lines: linesSchema
    .refine(
      (lines) => lines.some((line) => !line.addition && line.amount > 0),
      'must have a base that adds up to more than 0',
    )
    .optional(),
});
const steps = z
  .int('must be a whole number')
  .min(2, 'must be ≥ 2')
  .max(MOST_CELLS, `must be ≤ ${MOST_CELLS}`);
const edge = z.int('must be a whole number').min(2, 'must be ≥ 2').max(100, 'must be ≤ 100');
const percent = z.number('must be a number').positive('must be > 0').max(100, 'must be ≤ 100');

const kinds = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('line'), ends: z.tuple([named, named], 'must be two glazes'), steps }),
  z.object({
    kind: z.literal('triaxial'),
    corners: z.tuple([named, named, named], 'must be three glazes'),
    steps: steps.max(100, 'must be ≤ 100'),
  }),
  z.object({
    kind: z.literal('corners'),
    corners: z.tuple([named, named, named, named], 'must be four glazes'),
    columns: edge.default(5),
    rows: edge.default(7),
  }),
  z.object({
    kind: z.literal('ladder'),
    base: named,
    additions: z
      .array(
        z.object({ material: z.string('must be a name').trim().min(1, 'must not be empty'), step: percent }),
      )
      .min(1, 'must have at least one'),
    steps,
    down: z.int('must be a whole number').min(0, 'must be ≥ 0').default(0),
  }),
  z.object({
    kind: z.literal('overlap'),
    glazes: z
      .array(z.string('must be a name').trim().min(1, 'must not be empty'), 'must be a list')
      .min(1, 'must have at least one')
      .max(100, 'must have at most 100')
      .refine((names) => new Set(names).size === names.length, 'must not have one twice'),
  }),
]);
type Input = z.infer<typeof kinds>;

/** A ladder that steps down says where it would take more than there is. */
const schema = kinds.superRefine((input, context) => {
  if (input.kind !== 'ladder') return;
  const refuse = (message: string) => context.addIssue({ code: 'custom', path: ['down'], message });
  if (input.down >= input.steps) return refuse('must be < steps');
  try {
    planOf(input);
  } catch (error) {
    refuse((error as Error).message);
  }
});

function planOf(input: Input): Plan {
  switch (input.kind) {
    case 'line':
      return lineBlend(input.ends, input.steps);
    case 'triaxial':
      return triaxial(input.corners, input.steps);
    case 'corners':
      return fourCorners(input.corners, input.columns, input.rows);
    case 'ladder':
      return additionLadder(input.base, input.additions, input.steps, input.down);
    case 'overlap':
      return overlapGrid(input.glazes.map((name) => ({ name })));
  }
}

/** `blend`: the cells of a line, a triaxial, a four-corner grid, an addition ladder or an overlap grid. */
export const blend: Command = (input) => {
  const parsed = schema.safeParse(input);
  if (!parsed.success) return { errors: parsed.error };
  const { cells } = planOf(parsed.data);
  return {
    answer: {
      cells: cells.map(({ label, parts, lines, stack }) => ({
        label,
        parts,
        ...(lines && { lines }),
        ...(stack && { stack }),
      })),
    },
  };
};
