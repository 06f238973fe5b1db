import { labOf } from '@/core/colour';
import { requireMember } from '@/auth';
import { listBodies, listGlazes } from '@/records/materials';
import { entriesLike, headwordText, wallChoices } from '@/records/dictionary';
import { db } from '@/records/platform';
import { FindView } from '@/features/dictionary/ui/FindView';
import { readFindQuery } from '@/features/dictionary/model/findQuery';

export const metadata = { title: 'Find by colour' };

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  await requireMember();
  const asked = readFindQuery(await searchParams);
  const [found, choices, bodies, glazes, but] = await Promise.all([
    entriesLike(
      db(),
      {
        cone: asked.cone,
        atmosphere: asked.atmosphere,
        bodyId: asked.clay,
        surface: asked.surface,
        stays: Boolean(asked.stays),
        sound: Boolean(asked.sound),
        notDecorative: Boolean(asked.food),
        inStudio: Boolean(asked.now),
        butHeadword: asked.but,
      },
      asked.colour ? labOf(asked.colour) : null,
    ),
    wallChoices(db()),
    listBodies(db()),
    listGlazes(db()),
    asked.but ? headwordText(db(), asked.but) : null,
  ]);
  return (
    <FindView
      asked={asked}
      found={found}
      cones={[...new Set(choices.map(({ cone }) => cone))]}
      clays={bodies.map(({ id, name }) => ({ id, name }))}
      chips={glazes.filter(({ kind }) => kind === 'glaze').map(({ name, colour }) => ({ name, colour }))}
      but={but}
    />
  );
}
