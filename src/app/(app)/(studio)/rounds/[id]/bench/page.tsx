import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { listMaterials, recipesInUse, type RecipeInUse } from '@/records/materials';
import { roundPage } from '@/records/rounds';
import { BenchSheet } from '@/features/rounds/ui/BenchSheet';
import { orNotFound } from '@/features/shared/notFound';

export const metadata = { title: 'Bench sheet' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  await requireMember('/rounds/[id]/bench');
  const base = db();
  const page = await orNotFound(roundPage(base, (await params).id));
  const [materials, recipes] = await Promise.all([listMaterials(base), recipesInUse(base)]);
  const inIt = new Set(page.cells.flatMap((cell) => Object.keys(cell.parts)));
  const corners: RecipeInUse[] = recipes.filter((recipe) => inIt.has(recipe.glazeId));
  return <BenchSheet {...page} materials={materials} corners={corners} />;
}
