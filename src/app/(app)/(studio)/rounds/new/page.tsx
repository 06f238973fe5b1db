import { z } from 'zod';
import { ROUND_KINDS } from '@/core/vocabulary';
import { requireMember } from '@/auth';
import { listBodies, listGlazes, recipesInUse } from '@/records/materials';
import { db } from '@/records/platform';
import { listKilns } from '@/records/firings';
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
  // Cells of the wall, "base.top"; a glaze alone stands twice.
  pairs: z
    .string()
    .transform((text) => text.split(',').map((pair) => [...new Set(pair.split('.'))].filter(Boolean)))
    .optional(),
});

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  await requireMember();
  const start = startSchema.safeParse(await searchParams);
  const base = db();
  const [glazes, recipes, bodies, kilns, known] = await Promise.all([
    listGlazes(base),
    recipesInUse(base),
    listBodies(base),
    listKilns(base),
    knownStacks(base),
  ]);
  return (
    <RoundMaker
      glazes={glazes
        .filter((glaze) => glaze.kind === 'glaze')
        .map(({ id, name, colour }) => ({
          id,
          name,
          colour,
          lines: recipes.find((recipe) => recipe.glazeId === id)?.lines ?? null,
        }))}
      bodies={bodies.map(({ id, name }) => ({ id, name }))}
      kilns={kilns.map(({ name, litres, shelves }) => ({ name, litres, shelves }))}
      known={known}
      start={start.success ? startOf(start.data) : null}
    />
  );
}

function startOf({ pairs, ...start }: z.infer<typeof startSchema>) {
  const known = pairs?.filter((ids) => ids.length > 0);
  return known?.length
    ? { ...start, tests: known.map((ids) => ({ stack: ids.map((glaze) => ({ glaze, times: 1 })) })) }
    : start;
}
