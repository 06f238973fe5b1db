import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { listMaterials } from '@/records/materials';
import { newestRecipes } from '@/records/recipes';
import { BlendView } from '@/screens/blend/BlendView';

export const metadata = { title: 'Blend three' };

export default async function Page() {
  await memberOfPage();
  const [recipes, materials] = await Promise.all([newestRecipes(db()), listMaterials(db())]);
  return <BlendView recipes={recipes} materials={materials} />;
}
