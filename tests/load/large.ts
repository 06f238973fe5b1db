import { newId } from '@/records/platform';
import { listGlazes, versionsInUse, saveGlaze, saveRecipe } from '@/records/materials';
import { freshStudio, plainGlaze } from '../records/studio';

/** The small studio of the records tests with more glazes. */
export async function largeStudio(name: string, glazeCount: number) {
  const facts = await freshStudio(name);
  for (let i = 0; i < glazeCount; i++) {
    await saveGlaze(facts.base, facts.member, plainGlaze(newId(), `Glaze ${i}`), null);
  }
  const glazes = (await listGlazes(facts.base))
    .filter((glaze) => glaze.kind === 'glaze')
    .map((glaze) => glaze.id);
  const versions = await versionsInUse(facts.base);
  for (const glazeId of glazes) {
    const lines = [
      { material: 'Soda feldspar', amount: 60 },
      { material: 'Whiting', amount: 40 },
    ];
    const follows = versions.get(glazeId)!;
    await saveRecipe(facts.base, facts.member, {
      id: newId(),
      glazeId,
      follows,
      wasWritten: false,
      lines,
      note: '',
    });
  }
  return { ...facts, mixed: glazes };
}
