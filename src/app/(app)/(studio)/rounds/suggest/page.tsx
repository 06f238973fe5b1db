import { requireMember } from '@/auth';
import { listBodies, listGlazes } from '@/records/materials';
import { db } from '@/records/platform';
import { comingStacks, knownStacks } from '@/records/rounds';
import { stacksOfOpenCases } from '@/records/clinic';
import { listFailedLookups } from '@/records/dictionary';
import { readSuggestQuery } from '@/features/rounds/model/suggestQuery';
import { suggestTests } from '@/features/rounds/model/suggest';
import { SuggestView } from '@/features/rounds/ui/SuggestView';

export const metadata = { title: 'Suggest a round' };

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  await requireMember('/rounds/suggest');
  const base = db();
  const [glazes, bodies, known, coming, wanted, cases] = await Promise.all([
    listGlazes(base),
    listBodies(base),
    knownStacks(base),
    comingStacks(base),
    listFailedLookups(base),
    stacksOfOpenCases(base),
  ]);
  const asked = readSuggestQuery(await searchParams, bodies);
  const here = <T extends { bodyId: string; cone: string; atmosphere: string }>(all: readonly T[]) =>
    all.filter(
      (one) => one.bodyId === asked.bodyId && one.cone === asked.cone && one.atmosphere === asked.atmosphere,
    );
  const suggestions = suggestTests({
    glazes: glazes.filter((glaze) => glaze.kind === 'glaze'),
    known: here(known),
    underWay: here(coming).map((one) => one.stack),
    wanted,
    cases,
    places: asked.places,
  });
  return (
    <SuggestView
      key={JSON.stringify(asked)}
      asked={asked}
      suggestions={suggestions}
      bodies={bodies.map(({ id, name }) => ({ id, name }))}
    />
  );
}
