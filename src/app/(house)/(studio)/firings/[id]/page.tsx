import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { listKilns } from '@/records/kilns';
import { logOf } from '@/records/live';
import { mayDo } from '@/records/members';
import { firingById } from '@/records/firings';
import { loadedIds, loadShelves, shelfPieces, waitingIds } from '@/records/loads';
import { listProgrammes } from '@/records/programmes';
import { conesOf, rateOf } from '@/records/witness';
import { FiringView } from '@/screens/firings/FiringView';
import { orNotFound } from '@/screens/notFound';

export const metadata = { title: 'Firing' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await memberOfPage();
  const firing = await orNotFound(firingById(db(), (await params).id));
  const kilns = await listKilns(db());
  const kiln = kilns.find(({ id }) => id === firing.kilnId)!;
  const inside = await loadedIds(db(), firing.id);
  const outside = firing.state === 'loading' ? await waitingIds(db()) : [];
  const [loaded, waiting, shelves, programmes, log, cones, rate] = await Promise.all([
    shelfPieces(db(), inside, firing.id),
    shelfPieces(db(), outside, null),
    loadShelves(db(), firing.id),
    listProgrammes(db()),
    logOf(db(), firing, kiln, new Date()),
    conesOf(db(), [firing.id]),
    rateOf(db(), firing.id),
  ]);
  return (
    <FiringView
      {...{ firing, kilns, loaded, waiting, shelves, programmes, log, rate }}
      cones={cones.get(firing.id)!}
      mayPlan={mayDo(member.role, 'teacher')}
    />
  );
}
