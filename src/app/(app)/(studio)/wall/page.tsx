import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { hasRole } from '@/records/people';
import { listWalls } from '@/records/dictionary';
import { usualOf } from '@/records/pieces';
import { ownWall } from '@/features/wall/model/choose';
import { WallView } from '@/features/wall/ui/WallView';
import { wallOf } from '@/features/wall/server/wallOf';

export const metadata = { title: 'Wall' };

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const member = await requireMember('/wall');
  const [asked, usual] = await Promise.all([searchParams, usualOf(db(), member.id)]);
  const params = ownWall(asked, usual);
  const [{ entries: _, ...wall }, walls] = await Promise.all([wallOf(db(), params), listWalls(db())]);
  const { choice } = wall;
  return (
    <WallView
      key={`${choice.cone}${choice.atmosphere}${choice.grounds.join()}${choice.third}`}
      wall={wall}
      walls={walls}
      start={params.at ?? null}
      mayShare={hasRole(member.role, 'teacher')}
    />
  );
}
