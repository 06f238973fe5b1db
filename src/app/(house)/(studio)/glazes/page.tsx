import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { glazeSwatches, listGlazes } from '@/records/glazes';
import { mayDo } from '@/records/members';
import { GlazesView } from '@/screens/glazes/GlazesView';

export const metadata = { title: 'Glazes' };

export default async function Page({ searchParams }: { searchParams: Promise<{ add?: string }> }) {
  const member = await memberOfPage();
  const [glazes, swatches] = await Promise.all([listGlazes(db()), glazeSwatches(db())]);
  return (
    <GlazesView
      glazes={glazes}
      swatches={swatches}
      adding={(await searchParams).add !== undefined}
      mayChange={mayDo(member.role, 'teacher')}
    />
  );
}
