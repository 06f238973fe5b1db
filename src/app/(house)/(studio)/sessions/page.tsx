import { memberOfPage, sealedSession } from '@/door';
import { db } from '@/records/db';
import { sessionsOf } from '@/records/members';
import { SessionsView } from '@/screens/sessions/SessionsView';

export const metadata = { title: 'Where I am signed in' };

export default async function Page() {
  const member = await memberOfPage();
  const { sessionId } = await sealedSession();
  return (
    <SessionsView sessions={await sessionsOf(db(), member.id)} current={sessionId ?? null} now={new Date()} />
  );
}
