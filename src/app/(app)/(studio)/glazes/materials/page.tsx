import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { listAliases, listMaterials } from '@/records/materials';
import { hasRole } from '@/records/people';
import { MaterialsView } from '@/features/glazes/ui/MaterialsView';

export const metadata = { title: 'Materials' };

interface Asked {
  readonly searchParams: Promise<{ change?: string; name?: string }>;
}

export default async function Page({ searchParams }: Asked) {
  const member = await requireMember('/glazes/materials');
  const { change, name } = await searchParams;
  const [own, aliases] = await Promise.all([listMaterials(db()), listAliases(db())]);
  return (
    <MaterialsView
      own={own}
      aliases={aliases}
      changing={change ?? null}
      name={name ?? ''}
      mayChange={hasRole(member.role, 'teacher')}
    />
  );
}
