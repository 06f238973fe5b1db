import { memberOfPage } from '@/door';
import { listBodies } from '@/records/bodies';
import { db } from '@/records/db';
import { mayDo } from '@/records/members';
import { ClaysView } from '@/screens/clays/ClaysView';

export const metadata = { title: 'Clays' };

export default async function Page({ searchParams }: { searchParams: Promise<{ add?: string }> }) {
  const member = await memberOfPage();
  return (
    <ClaysView
      bodies={await listBodies(db())}
      adding={(await searchParams).add !== undefined}
      mayChange={mayDo(member.role, 'teacher')}
    />
  );
}
