import { z } from 'zod';
import {
  HEATS,
  FORMS,
  METHODS,
  ROUND_KINDS,
  ATMOSPHERES,
  ROUND_SHAPES,
  SIDES,
  TEXTURES,
} from '@/core/vocabulary';
import { MIXTURE, MOST_CELLS, MOST_LAYERS } from '@/core/rounds';
import { idSchema } from '@/features/shared/schema';

const line = z.object({
  material: z.string().min(1).max(120),
  amount: z.number().min(0).max(1e6),
  addition: z.boolean().optional(),
});

const band = z.object({
  side: z.enum(SIDES),
  from: z.number().min(0).max(1),
  to: z.number().min(0).max(1),
});

const layer = z.object({
  glaze: z.union([idSchema, z.literal(MIXTURE)]),
  times: z.int().min(1).max(20),
  method: z.enum(METHODS).optional(),
  bands: z.array(band).min(1).max(2).optional(),
});

const target = { cone: z.enum(HEATS, 'Choose a cone.'), atmosphere: z.enum(ATMOSPHERES) };

const cell = z.object({
  label: z.string().min(2).max(8),
  row: z.int().min(0),
  column: z.int().min(0),
  words: z.string().max(400),
  parts: z.record(z.string(), z.number().min(0).max(1)),
  recipe: z.array(line).max(200).nullable(),
  stack: z.array(layer).min(1).max(MOST_LAYERS).nullable(),
  bodyId: idSchema,
  texture: z.enum(TEXTURES).nullable(),
  block: z.int().min(0).max(MOST_CELLS),
  ...target,
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
    form: z.enum(FORMS),
    formId: idSchema.nullable(),
    heightMm: z.number().positive().max(2000, 'At most 2 m.'),
    widthMm: z.number().positive().max(2000, 'At most 2 m.'),
    twins: z.int('A whole number.').min(1, 'At least one of each.').max(10, 'At most ten of each.'),
    ...target,
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
