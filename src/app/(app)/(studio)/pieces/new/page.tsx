import { requireMember } from '@/auth';
import { makersFor } from '@/records/people';
import { listBodies, listGlazes } from '@/records/materials';
import { db } from '@/records/platform';
import { piecesById } from '@/records/pieces';
import { draftLike } from '@/features/pieces/model/fromPiece';
import { PieceEditor } from '@/features/pieces/ui/PieceEditor';
import { FirstThings } from '@/features/pieces/ui/FirstThings';

export const metadata = { title: 'New piece' };

export default async function Page({ searchParams }: { searchParams: Promise<{ like?: string }> }) {
  const member = await requireMember();
  const { like } = await searchParams;
  const [bodies, glazes, makers, [model]] = await Promise.all([
    listBodies(db()),
    listGlazes(db()),
    makersFor(db(), member),
    piecesById(db(), like ? [like] : []),
  ]);
  if (bodies.length === 0 || glazes.length === 0)
    return <FirstThings bodies={bodies.length} glazes={glazes.length} />;
  const choices = bodies.map(({ id, name, colourOxidation }) => ({ id, name, colour: colourOxidation }));
  return (
    <PieceEditor
      key={like ?? 'new'}
      bodies={choices}
      glazes={glazes}
      makers={makers}
      start={model ? draftLike(model) : null}
    />
  );
}
