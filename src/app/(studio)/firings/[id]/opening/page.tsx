import { memberOfPage } from '@/door';
import { db } from '@/records/db';
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
  if (firing.state !== 'open' && firing.state !== 'closed') return <OpeningGate firing={firing} />;
  return <OpeningView firing={firing} pieces={pieces} start={(await searchParams).piece ?? null} />;
}
