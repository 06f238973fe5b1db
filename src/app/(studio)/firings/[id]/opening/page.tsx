import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { kilnById } from '@/records/kilns';
import { logOf } from '@/records/live';
import { openingOf } from '@/records/openings';
import { orNotFound } from '@/screens/notFound';
import { OpeningView } from '@/screens/opening/OpeningView';
import { OpeningGate } from '@/screens/opening/OpeningGate';

export const metadata = { title: 'Opening' };

export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ piece?: string }>;
}) {
  await memberOfPage();
  const { firing, pieces } = await orNotFound(openingOf(db(), (await params).id));
  if (firing.state !== 'open' && firing.state !== 'closed') {
    const kiln = await kilnById(db(), firing.kilnId);
    return <OpeningGate firing={firing} log={await logOf(db(), firing, kiln, new Date())} />;
  }
  return <OpeningView firing={firing} pieces={pieces} start={(await searchParams).piece ?? null} />;
}
