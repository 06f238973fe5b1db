import { z } from 'zod';
import { ATMOSPHERES, HEATS, GLAZE_KINDS, ROUND_KINDS } from '@/core/vocabulary';
import { requireMember } from '@/auth';
import { listBodies, listGlazes, recipesInUse } from '@/records/materials';
import { db } from '@/records/platform';
import { PLAIN_PUT } from '@/core/rounds';
import { listKilns } from '@/records/firings';
import { listForms } from '@/records/pieces';
import { knownStacks } from '@/records/rounds';
import { RoundMaker } from '@/features/rounds/ui/RoundMaker';

export const metadata = { title: 'New round' };

const startSchema = z.object({
  kind: z.enum(ROUND_KINDS),
  glazes: z
    .string()
    .transform((ids) => ids.split(',').filter(Boolean))
    .default([]),
  bodies: z
    .string()
    .transform((ids) => ids.split(',').filter(Boolean))
    .default([]),
  name: z.string().max(120).default(''),
  cone: z.enum(HEATS).optional(),
  atmosphere: z.enum(ATMOSPHERES).optional(),
  // Cells of the wall, "base.top", with their coats, "base*2.top*1"; a glaze alone stands once or twice.
  pairs: z
    .string()
    .transform((text) => text.split(',').map(stackOf))
    .optional(),
});

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  await requireMember('/rounds/new');
  const start = startSchema.safeParse(await searchParams);
  const base = db();
  const [glazes, recipes, bodies, kilns, known, ownForms] = await Promise.all([
    listGlazes(base),
    recipesInUse(base),
    listBodies(base),
    listKilns(base),
    knownStacks(base),
    listForms(base),
  ]);
  return (
    <RoundMaker
      glazes={glazes
        .toSorted((a, b) => GLAZE_KINDS.indexOf(a.kind) - GLAZE_KINDS.indexOf(b.kind))
        .map(({ id, name, kind, colour }) => ({
          ...{ id, name, kind, colour },
          lines: recipes.find((recipe) => recipe.glazeId === id)?.lines ?? null,
        }))}
      bodies={bodies.map(({ id, name }) => ({ id, name }))}
      kilns={kilns.map(({ name, litres, shelves }) => ({ name, litres, shelves }))}
      known={known}
      ownForms={ownForms}
      start={start.success ? startOf(start.data) : null}
    />
  );
}

/** The layers of a cell, bottom first. */
function stackOf(cell: string) {
  const layers = cell.split('.').flatMap((layer) => {
    const [glaze, times] = layer.split('*');
    return glaze ? { glaze, times: Math.max(1, Number(times) || 1), ...PLAIN_PUT } : [];
  });
  return layers.filter(({ glaze }, i) => glaze !== layers[i - 1]?.glaze);
}

function startOf({ pairs, cone, atmosphere, ...start }: z.infer<typeof startSchema>) {
  const stacks = pairs?.filter((layers) => layers.length > 0) ?? [];
  return {
    ...start,
    ...(cone && { cone }),
    ...(atmosphere && { atmosphere }),
    ...(stacks.length > 0 && { tests: stacks.map((stack) => ({ stack })) }),
  };
}
