import { z } from 'zod';
import { CONES, ROUND_KINDS, ROUND_FORMS, ATMOSPHERES, ROUND_SHAPES } from '@/core/vocabulary';
import { MOST_CELLS } from '@/core/rounds';
import { idSchema } from '@/features/shared/schema';

const line = z.object({
  material: z.string().min(1).max(120),
  amount: z.number().min(0).max(1e6),
  addition: z.boolean().optional(),
});

const cell = z.object({
  label: z.string().min(2).max(8),
  row: z.int().min(0),
  column: z.int().min(0),
  words: z.string().max(400),
  parts: z.record(z.string(), z.number().min(0).max(1)),
  recipe: z.array(line).max(200).nullable(),
  stack: z
    .array(z.object({ glaze: idSchema, times: z.int().min(1).max(20) }))
    .min(1)
    .nullable(),
  bodyId: idSchema,
});

export const roundSchema = z
  .object({
    id: idSchema,
    name: z.string().trim().min(1, 'Give the round a name.').max(120, 'At most 120 letters.'),
    kind: z.enum(ROUND_KINDS),
    setup: z.unknown(),
    shape: z.enum(ROUND_SHAPES),
    rows: z.int().min(1),
    columns: z.int().min(1),
    form: z.enum(ROUND_FORMS),
    heightMm: z.number().positive(),
    widthMm: z.number().positive(),
    twins: z.int('A whole number.').min(1, 'At least one of each.').max(10, 'At most ten of each.'),
    cone: z.enum(CONES, 'Choose a cone.'),
    atmosphere: z.enum(ATMOSPHERES),
    dueOn: z.iso.date('Choose a day.').nullable(),
    unlessUnderWay: z.boolean().default(false),
    colour: z.string().regex(/^#[0-9a-f]{6}$/i),
    cells: z.array(cell).min(1, 'Every test is left out.').max(MOST_CELLS, `At most ${MOST_CELLS} tests.`),
  })
  .refine((round) => round.cells.length * round.twins <= 2000, {
    path: ['twins'],
    message: 'More than 2000 pieces.',
  });

export const glazeCellsSchema = z.object({ cells: z.array(idSchema).min(1).max(MOST_CELLS) });
