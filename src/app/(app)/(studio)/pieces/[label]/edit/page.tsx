import { requireMember } from '@/auth';
import { listBodies, listGlazes } from '@/records/materials';
import { db } from '@/records/platform';
import { formsInUse, listForms, piecePage, usualOf, usualWays } from '@/records/pieces';
import { emptyDraft, withUsualWay } from '@/features/pieces/model/draft';
import { orNotFound } from '@/features/shared/notFound';
import { draftOf } from '@/features/pieces/model/fromPiece';
import { PieceEditor } from '@/features/pieces/ui/PieceEditor';

export const metadata = { title: 'Correct a piece' };

export default async function Page({ params }: { params: Promise<{ label: string }> }) {
  const member = await requireMember('/pieces/[label]/edit');
  const [piece, bodies, glazes, ways, forms, inUse, usual] = await Promise.all([
    orNotFound(piecePage(db(), decodeURIComponent((await params).label))),
    listBodies(db()),
    listGlazes(db(), { tests: true }),
    usualWays(db(), member.id),
    listForms(db()),
    formsInUse(db()),
    usualOf(db(), member.id),
  ]);
  const firingNames = Object.fromEntries(
    piece.firings.map((firing) => [firing.firingId, `${firing.kiln} ${firing.number}`]),
  );
  return (
    <PieceEditor
      key={piece.version}
      bodies={bodies.map(({ id, name, colourOxidation }) => ({ id, name, colour: colourOxidation }))}
      glazes={glazes.map((glaze) => withUsualWay(glaze, ways))}
      ownForms={forms}
      formsInUse={inUse}
      start={
        piece.isDescribed
          ? draftOf(piece)
          : {
              ...emptyDraft(usual?.form ?? 'tile', usual?.bodyId ?? ''),
              note: piece.note,
              ownNumber: piece.ownNumber,
            }
      }
      editing={{ id: piece.id, label: piece.label, version: piece.version }}
      firingNames={firingNames}
      photos={piece.photos.map(({ hash, width, height, frame, view }) => ({
        hash,
        width,
        height,
        frame,
        view,
      }))}
    />
  );
}
