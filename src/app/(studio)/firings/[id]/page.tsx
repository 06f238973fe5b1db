import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { listKilns } from '@/records/kilns';
import { logOf } from '@/records/live';
import { mayDo } from '@/records/members';
import { openingOf } from '@/records/openings';
import { waitingPieces } from '@/records/piecePages';
import { listProgrammes } from '@/records/programmes';
import { conesOf, rateOf } from '@/records/witness';
import { FiringView } from '@/screens/firings/FiringView';
import { orNotFound } from '@/screens/notFound';

export const metadata = { title: 'Firing' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await memberOfPage();
  const { firing, pieces } = await orNotFound(openingOf(db(), (await params).id));
  const kilns = await listKilns(db());
  const kiln = kilns.find(({ id }) => id === firing.kilnId)!;
  const [waiting, programmes, log, cones, rate] = await Promise.all([
    firing.state === 'loading' ? waitingPieces(db()) : [],
    listProgrammes(db()),
    logOf(db(), firing, kiln, new Date()),
    conesOf(db(), [firing.id]),
    rateOf(db(), firing.id),
  ]);
  return (
    <FiringView
      {...{ firing, kilns, pieces, waiting, programmes, log, rate }}
      cones={cones.get(firing.id)!}
      mayPlan={mayDo(member.role, 'teacher')}
    />
  );
}
