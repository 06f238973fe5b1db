import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { glazeSwatches, listGlazes } from '@/records/materials';
import { hasRole } from '@/records/people';
import { GlazesView } from '@/features/glazes/ui/GlazesView';

export const metadata = { title: 'Glazes' };

export default async function Page({ searchParams }: { searchParams: Promise<{ add?: string }> }) {
  const member = await requireMember('/glazes');
  const [glazes, swatches] = await Promise.all([listGlazes(db()), glazeSwatches(db())]);
  return (
    <GlazesView
      glazes={glazes}
      swatches={swatches}
      adding={(await searchParams).add ?? null}
      mayChange={hasRole(member.role, 'teacher')}
    />
  );
}
