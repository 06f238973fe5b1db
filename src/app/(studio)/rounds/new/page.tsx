import { memberOfPage } from '@/door';
import { listBodies } from '@/records/bodies';
import { db } from '@/records/db';
import { listKilns } from '@/records/kilns';
import { listGlazes } from '@/records/glazes';
import { newestRecipes } from '@/records/recipes';
import { knownStacks } from '@/records/rounds';
import { RoundMaker } from '@/screens/rounds/RoundMaker';

export const metadata = { title: 'New round' };

export default async function Page() {
  await memberOfPage();
  const base = db();
  const [glazes, recipes, bodies, kilns, known] = await Promise.all([
    listGlazes(base),
    newestRecipes(base),
    listBodies(base),
    listKilns(base),
    knownStacks(base),
  ]);
  return (
    <RoundMaker
      glazes={glazes
        .filter((glaze) => glaze.kind === 'glaze')
        .map(({ id, name, colour }) => ({
          id,
          name,
          colour,
          lines: recipes.find((recipe) => recipe.glazeId === id)?.lines ?? null,
        }))}
      bodies={bodies.map(({ id, name }) => ({ id, name }))}
      kilns={kilns.map(({ name, litres, shelves }) => ({ name, litres, shelves }))}
      known={known}
    />
  );
}
