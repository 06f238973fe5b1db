import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import {
  listFirings,
  listKilns,
  logOf,
  outcomeOf,
  firingById,
  loadedIds,
  loadShelves,
  shelfPieces,
  type ShelfPiece,
  waitingIds,
  listProgrammes,
  conesOf,
  rateOf,
} from '@/records/firings';
import { remindersOf, type About } from '@/records/reminders';
import { NextTime } from '@/features/reminders';
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
  const [loaded, waiting, shelves, programmes, log, cones, rate, outcome, current] = await Promise.all([
    shelfPieces(db(), inside, firing.id),
    shelfPieces(db(), outside, null),
    loadShelves(db(), firing.id),
    listProgrammes(db()),
    logOf(db(), firing, kiln, new Date()),
    conesOf(db(), [firing.id]),
    rateOf(db(), firing.id),
    hasEnded ? outcomeOf(db(), firing) : null,
    hasEnded ? [] : listFirings(db(), { kilnId: kiln.id, states: ['loading', 'firing', 'cooling'] }),
  ]);
  const isComing = firing.state === 'loading' || firing.state === 'firing';
  const about: About = { about: 'firing', aboutId: firing.id };
  const reminders = await remindersOf(db(), [about, ...(isComing ? usedIn(kiln.id, loaded) : [])]);
  const mayPlan = hasRole(member.role, 'teacher');
  return (
    <FiringView
      {...{ firing, kilns, loaded, waiting, shelves, programmes, log, rate, outcome }}
      cones={cones.get(firing.id)!}
      nextTime={<NextTime {...{ reminders, about }} isNamed mayWrite={hasRole(member.role, 'student')} />}
      others={current.filter(({ id }) => id !== firing.id)}
      mayPlan={mayPlan}
      students={mayPlan ? await studentsFor(db(), firing.id) : []}
    />
  );
}

/** What a firing uses: its kiln, and the clays, forms and glazes in it. */
function usedIn(kilnId: string, loaded: readonly ShelfPiece[]): About[] {
  const all = (about: About['about'], ids: readonly string[]) =>
    [...new Set(ids)].map((aboutId) => ({ about, aboutId }));
  return [
    { about: 'kiln', aboutId: kilnId },
    ...all(
      'clay',
      loaded.map(({ bodyId }) => bodyId),
    ),
    ...all(
      'form',
      loaded.map(({ formId, form }) => formId ?? form),
    ),
    ...all(
      'glaze',
      loaded.flatMap(({ coats }) => coats.map(({ glazeId }) => glazeId)),
    ),
  ];
}
