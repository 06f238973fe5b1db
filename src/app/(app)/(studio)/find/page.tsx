import { redirect } from 'next/navigation';
import { labOf } from '@/core/colour';
import { requireMember } from '@/auth';
import { listBodies, listGlazes } from '@/records/materials';
import { entriesLike, headwordText, texturesTried, wallChoices } from '@/records/dictionary';
import { db } from '@/records/platform';
import { usualOf } from '@/records/pieces';
import { FindView } from '@/features/dictionary/ui/FindView';
import { findAddress, ownFire, readFindQuery } from '@/features/dictionary/model/findQuery';

export const metadata = { title: 'Find by colour' };

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const member = await requireMember('/find');
  const params = await searchParams;
  // Who begins to look starts at what they make themselves; the address says so, and each part can be let go.
  const usual = params.own ? await usualOf(db(), member.id) : null;
  if (usual) redirect(findAddress({ ...ownFire(usual), clay: usual.bodyId }));
  const asked = readFindQuery(params);
  const [found, choices, bodies, glazes, but, textures] = await Promise.all([
    entriesLike(
      db(),
      {
        cone: asked.cone,
        atmosphere: asked.atmosphere,
        bodyId: asked.clay,
        surface: asked.surface,
        texture: asked.texture,
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
    texturesTried(db()),
  ]);
  return (
    <FindView
      asked={asked}
      found={found}
      textures={textures}
      cones={[...new Set(choices.map(({ cone }) => cone))]}
      clays={bodies.map(({ id, name }) => ({ id, name }))}
      chips={glazes.filter(({ kind }) => kind === 'glaze').map(({ name, colour }) => ({ name, colour }))}
      but={but}
    />
  );
}
