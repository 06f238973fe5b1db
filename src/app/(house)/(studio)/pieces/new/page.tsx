import { memberOfPage } from '@/door';
import { listBodies } from '@/records/bodies';
import { db } from '@/records/db';
import { listGlazes } from '@/records/glazes';
import { piecesById } from '@/records/piecePages';
import { draftLike } from '@/screens/pieces/fromPiece';
import { PieceEditor } from '@/screens/pieces/PieceEditor';
import { FirstThings } from '@/screens/pieces/FirstThings';

export const metadata = { title: 'New piece' };

export default async function Page({ searchParams }: { searchParams: Promise<{ like?: string }> }) {
  await memberOfPage();
  const { like } = await searchParams;
  const [bodies, glazes, [model]] = await Promise.all([
    listBodies(db()),
    listGlazes(db()),
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
      start={model ? draftLike(model) : null}
    />
  );
}
