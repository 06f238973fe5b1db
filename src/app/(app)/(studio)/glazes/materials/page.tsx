import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { listMaterials } from '@/records/materials';
import { hasRole } from '@/records/people';
import { MaterialsView } from '@/features/glazes/ui/MaterialsView';

export const metadata = { title: 'Materials' };

interface Asked {
  readonly searchParams: Promise<{ change?: string; name?: string }>;
}

export default async function Page({ searchParams }: Asked) {
  const member = await requireMember();
  const { change, name } = await searchParams;
  return (
    <MaterialsView
      own={await listMaterials(db())}
      changing={change ?? null}
      name={name ?? ''}
      mayChange={hasRole(member.role, 'teacher')}
    />
  );
}
