import Link from 'next/link';
import type { ReactNode } from 'react';
import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { listFirings } from '@/records/firings';
import { signOut } from '@/features/people/signInActions';
import { AppFrame } from '@/ui/frame';

export default async function StudioLayout({ children }: { children: ReactNode }) {
  const member = await requireMember();
  const live = await listFirings(db(), { states: ['firing', 'cooling', 'open'], limit: 3 });
  const kilns = live.map((firing) => (
    <Link key={firing.id} href={`/firings/${firing.id}`}>
      {firing.kilnName} <span className={firing.state === 'open' ? 'good' : 'heat'}>{firing.state}</span>,
      cone {firing.cone}
    </Link>
  ));
  return (
    <AppFrame member={member} kilns={kilns.length ? kilns : <span>Kilns at rest</span>} signOut={signOut}>
      {children}
    </AppFrame>
  );
}
