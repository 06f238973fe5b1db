import { requireMember, sealedSession, studioNow } from '@/auth';
import { db } from '@/records/platform';
import { accountOf, hintsOf, listDevices, sessionsOf } from '@/records/people';
import { AccountView } from '@/features/people/ui/AccountView';

export const metadata = { title: 'Account' };

export default async function Page() {
  const member = await requireMember('/account');
  const { sessionId } = await sealedSession();
  const [account, sessions, devices, studio, hints] = await Promise.all([
    accountOf(db(), member.id),
    sessionsOf(db(), member.id),
    listDevices(db()),
    studioNow(),
    hintsOf(db(), member.id),
  ]);
  return (
    <AccountView
      {...{ account, sessions }}
      current={sessionId ?? null}
      hasTablet={devices.length > 0}
      isFactorDue={studio.isFactorRequired && member.role === 'technician' && !account.hasSecondFactor}
      areHintsOff={hints.isOff}
      now={new Date()}
    />
  );
}
