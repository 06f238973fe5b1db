import { memberOfPage } from '@/door';
import { listBodies } from '@/records/bodies';
import { db } from '@/records/db';
import { listGlazes } from '@/records/glazes';
import { comingStacks, knownStacks } from '@/records/rounds';
import { stacksOfOpenCases } from '@/records/cases';
import { listWanted } from '@/records/wanted';
import { readAsked } from '@/screens/rounds/asked';
import { suggestTests } from '@/screens/rounds/suggest';
import { SuggestView } from '@/screens/rounds/SuggestView';

export const metadata = { title: 'Suggest a round' };

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  await memberOfPage();
  const base = db();
  const [glazes, bodies, known, coming, wanted, cases] = await Promise.all([
    listGlazes(base),
    listBodies(base),
    knownStacks(base),
    comingStacks(base),
    listWanted(base),
    stacksOfOpenCases(base),
  ]);
  const asked = readAsked(await searchParams, bodies);
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
