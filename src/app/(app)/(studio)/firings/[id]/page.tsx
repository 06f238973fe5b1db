import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import {
  listKilns,
  logOf,
  outcomeOf,
  firingById,
  loadedIds,
  loadShelves,
  shelfPieces,
  waitingIds,
  listProgrammes,
  conesOf,
  rateOf,
} from '@/records/firings';
import { hasRole, studentsFor } from '@/records/people';
import { FiringView } from '@/features/firings/ui/FiringView';
import { orNotFound } from '@/features/shared/notFound';

export const metadata = { title: 'Firing' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await requireMember('/firings/[id]');
  const firing = await orNotFound(firingById(db(), (await params).id));
  const kilns = await listKilns(db());
  const kiln = kilns.find(({ id }) => id === firing.kilnId)!;
  const inside = await loadedIds(db(), firing.id);
  const outside = firing.state === 'loading' ? await waitingIds(db()) : [];
  const hasEnded = firing.state !== 'loading' && firing.state !== 'firing';
  const [loaded, waiting, shelves, programmes, log, cones, rate, outcome] = await Promise.all([
    shelfPieces(db(), inside, firing.id),
    shelfPieces(db(), outside, null),
    loadShelves(db(), firing.id),
    listProgrammes(db()),
    logOf(db(), firing, kiln, new Date()),
    conesOf(db(), [firing.id]),
    rateOf(db(), firing.id),
    hasEnded ? outcomeOf(db(), firing) : null,
  ]);
  const mayPlan = hasRole(member.role, 'teacher');
  return (
    <FiringView
      {...{ firing, kilns, loaded, waiting, shelves, programmes, log, rate, outcome }}
      cones={cones.get(firing.id)!}
      mayPlan={mayPlan}
      students={mayPlan ? await studentsFor(db(), firing.id) : []}
    />
  );
}
