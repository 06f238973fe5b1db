import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { listGlazes } from '@/records/glazes';
import { wallChoices, wallEntries } from '@/records/wall';
import { chooseWall } from '@/screens/wall/choose';
import { WallView } from '@/screens/wall/WallView';

export const metadata = { title: 'Wall' };

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  await memberOfPage();
  const params = await searchParams;
  const [choices, glazes] = await Promise.all([wallChoices(db()), listGlazes(db())]);
  const choice = chooseWall(params, choices);
  const here = choices.filter((one) => one.cone === choice.cone && one.atmosphere === choice.atmosphere);
  const settings = [
    ...new Map(choices.map(({ cone, atmosphere }) => [cone + atmosphere, { cone, atmosphere }])).values(),
  ];
  return (
    <WallView
      key={`${choice.cone}${choice.atmosphere}${choice.grounds}`}
      entries={await wallEntries(db(), choice)}
      choice={choice}
      settings={settings}
      grounds={here.map(({ groundId, ground }) => ({ id: groundId, name: ground }))}
      glazes={glazes.map(({ id, name }) => ({ id, name }))}
      start={params.at ?? null}
    />
  );
}
