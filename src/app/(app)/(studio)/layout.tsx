import { heatName } from '@/core/vocabulary';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { redirect } from 'next/navigation';
import { currentDevice, currentMember, readerUnits, studioNow } from '@/auth';
import { db } from '@/records/platform';
import { listFirings } from '@/records/firings';
import { hintsOf } from '@/records/people';
import { chooseUnits, tellHints } from '@/features/people/actions';
import { signOut } from '@/features/people/signInActions';
import { findPiece } from '@/features/pieces/actions';
import { AppFrame } from '@/ui/frame';

export default async function StudioLayout({ children }: { children: ReactNode }) {
  // Which pages somebody sees, each page decides.
  const member = (await currentMember()) ?? redirect('/sign-in');
  const studio = await studioNow();
  const [device, live, units, hints] = await Promise.all([
    currentDevice(),
    listFirings(db(), { states: ['firing', 'cooling', 'open'], limit: 3 }),
    readerUnits(),
    hintsOf(db(), member.id),
  ]);
  const kilns = live.map((firing) => (
    <Link key={firing.id} href={`/firings/${firing.id}`}>
      {firing.kilnName} <span className={firing.state === 'open' ? 'good' : 'heat'}>{firing.state}</span>,{' '}
      {heatName(firing.cone)}
    </Link>
  ));
  return (
    <AppFrame
      member={member}
      kilns={kilns.length ? kilns : <span>Kilns at rest</span>}
      studio={studio}
      isOnDevice={device !== null}
      units={units}
      saveUnits={chooseUnits}
      hints={hints}
      tellHints={tellHints}
      findPiece={findPiece}
      signOut={signOut}
    >
      {children}
    </AppFrame>
  );
}
