import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { mayDo } from '@/records/members';
import { listWalls } from '@/records/namedWalls';
import { WallView } from '@/screens/wall/WallView';
import { wallOf } from '@/screens/wall/wallOf';

export const metadata = { title: 'Wall' };

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const member = await memberOfPage();
  const params = await searchParams;
  const [{ entries: _, ...wall }, walls] = await Promise.all([wallOf(db(), params), listWalls(db())]);
  const { choice } = wall;
  return (
    <WallView
      key={`${choice.cone}${choice.atmosphere}${choice.grounds}${choice.third}`}
      wall={wall}
      walls={walls}
      start={params.at ?? null}
      mayShare={mayDo(member.role, 'teacher')}
    />
  );
}
