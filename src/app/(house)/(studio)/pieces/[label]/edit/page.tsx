import { memberOfPage } from '@/door';
import { listBodies } from '@/records/bodies';
import { db } from '@/records/db';
import { listGlazes } from '@/records/glazes';
import { piecePage } from '@/records/piecePages';
import { orNotFound } from '@/screens/notFound';
import { draftOf } from '@/screens/pieces/fromPiece';
import { PieceEditor } from '@/screens/pieces/PieceEditor';

export const metadata = { title: 'Correct a piece' };

export default async function Page({ params }: { params: Promise<{ label: string }> }) {
  await memberOfPage();
  const [piece, bodies, glazes] = await Promise.all([
    orNotFound(piecePage(db(), decodeURIComponent((await params).label))),
    listBodies(db()),
    listGlazes(db(), { tests: true }),
  ]);
  const firingNames = Object.fromEntries(
    piece.firings.map((firing) => [firing.firingId, `${firing.kiln} ${firing.number}`]),
  );
  return (
    <PieceEditor
      key={piece.version}
      bodies={bodies.map(({ id, name, colourOxidation }) => ({ id, name, colour: colourOxidation }))}
      glazes={glazes}
      start={draftOf(piece)}
      editing={{ id: piece.id, label: piece.label, version: piece.version }}
      firingNames={firingNames}
    />
  );
}
