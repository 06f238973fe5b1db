import { requireMember } from '@/auth';
import { listBodies } from '@/records/materials';
import { db } from '@/records/platform';
import { hasRole } from '@/records/people';
import { ClaysView } from '@/features/clays/ui/ClaysView';

export const metadata = { title: 'Clays' };

export default async function Page({ searchParams }: { searchParams: Promise<{ add?: string }> }) {
  const member = await requireMember('/clays');
  return (
    <ClaysView
      bodies={await listBodies(db())}
      adding={(await searchParams).add ?? null}
      mayChange={hasRole(member.role, 'teacher')}
    />
  );
}
