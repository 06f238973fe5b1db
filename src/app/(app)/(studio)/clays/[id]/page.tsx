import { notFound } from 'next/navigation';
import { requireMember } from '@/auth';
import { listBodies, fitEvidence, listGlazes, studioBook, recipesInUse } from '@/records/materials';
import { NextTime } from '@/features/reminders';
import { remindersOf } from '@/records/reminders';
import { db } from '@/records/platform';
import { hasRole } from '@/records/people';
import { ClayView } from '@/features/clays/ui/ClayView';
import { judge } from '@/features/clays/model/judge';

export const metadata = { title: 'Clay' };

interface Asked {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ dips?: string }>;
}

export default async function Page({ params, searchParams }: Asked) {
  const member = await requireMember('/clays/[id]');
  const { id } = await params;
  const base = db();
  const body = (await listBodies(base)).find((one) => one.id === id);
  if (!body) notFound();
  const dips = (await searchParams).dips === '2' ? 2 : 1;
  const about = { about: 'clay', aboutId: id } as const;
  const [glazes, recipes, book, { tiles, learned }, reminders] = await Promise.all([
    listGlazes(base),
    recipesInUse(base),
    studioBook(base),
    fitEvidence(base),
    remindersOf(base, [about]),
  ]);
  const own = tiles.filter((tile) => tile.bodyId === id);
  const calibration = learned.get(id) ?? null;
  return (
    <ClayView
      body={body}
      calibration={calibration}
      tiles={own}
      judged={judge({ body, calibration, glazes, recipes, tiles: own, book, dips })}
      dips={dips}
      nextTime={<NextTime reminders={reminders} about={about} mayWrite={hasRole(member.role, 'student')} />}
      mayChange={hasRole(member.role, 'teacher')}
    />
  );
}
