import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { listMaterials, recipesInUse } from '@/records/materials';
import { BlendView } from '@/features/glazes/ui/BlendView';

export const metadata = { title: 'Triaxial blend' };

export default async function Page() {
  await requireMember('/glazes/blend');
  const [recipes, materials] = await Promise.all([recipesInUse(db()), listMaterials(db())]);
  return <BlendView recipes={recipes} materials={materials} />;
}
