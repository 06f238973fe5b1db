import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { listKilns } from '@/records/firings';
import { mayDo } from '@/records/members';
import { openingOf } from '@/records/openings';
import { waitingPieces } from '@/records/piecePages';
import { FiringView } from '@/screens/firings/FiringView';
import { orNotFound } from '@/screens/notFound';

export const metadata = { title: 'Firing' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await memberOfPage();
  const { firing, pieces } = await orNotFound(openingOf(db(), (await params).id));
  const [kilns, waiting] = await Promise.all([
    listKilns(db()),
    firing.state === 'loading' ? waitingPieces(db()) : [],
  ]);
  return (
    <FiringView
      firing={firing}
      kilns={kilns}
      pieces={pieces}
      waiting={waiting}
      mayPlan={mayDo(member.role, 'teacher')}
    />
  );
}
