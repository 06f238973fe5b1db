import { requireMember, studioNow } from '@/auth';
import { FORMS } from '@/core/vocabulary';
import { makersFor } from '@/records/people';
import { listBodies, listGlazes } from '@/records/materials';
import { db, listSeries } from '@/records/platform';
import { formsInUse, listForms, piecesById, usualOf, usualWays } from '@/records/pieces';
import { emptyDraft, withOwnForm, withUsualWay } from '@/features/pieces/model/draft';
import { draftLike } from '@/features/pieces/model/fromPiece';
import { PieceEditor } from '@/features/pieces/ui/PieceEditor';
import { FirstThings } from '@/features/pieces/ui/FirstThings';

export const metadata = { title: 'New piece' };

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<{ like?: string; with?: string; form?: string }>;
}) {
  const member = await requireMember('/pieces/new');
  const { like, with: setWith, form: formId } = await searchParams;
  const [bodies, glazes, makers, [model], usual, studio, series, ways, forms, inUse] = await Promise.all([
    listBodies(db()),
    listGlazes(db()),
    makersFor(db(), member),
    piecesById(db(), like ? [like] : []),
    usualOf(db(), member.id),
    studioNow(),
    listSeries(db()),
    usualWays(db(), member.id),
    listForms(db()),
    formsInUse(db()),
  ]);
  if (bodies.length === 0 || glazes.length === 0)
    return <FirstThings bodies={bodies.length} glazes={glazes.length} />;
  // A clay that is used up, or was chosen by nobody where there are several, is no start.
  const known = [usual?.bodyId, studio.bodyId].find((id) => bodies.some((body) => body.id === id));
  const bodyId = known ?? (bodies.length === 1 ? bodies[0]!.id : '');
  const choices = bodies.map(({ id, name, colourOxidation }) => ({ id, name, colour: colourOxidation }));
  const asked = FORMS.find((form) => form === formId);
  const empty = emptyDraft(asked ?? usual?.form ?? studio.form ?? 'tile', bodyId);
  const own = forms.find(({ id }) => id === formId);
  return (
    <PieceEditor
      key={like ?? formId ?? setWith ?? 'new'}
      bodies={choices}
      glazes={glazes.map((glaze) => withUsualWay(glaze, ways))}
      ownForms={forms}
      formsInUse={inUse}
      setWith={setWith}
      makers={makers}
      series={series.map(({ prefix }) => prefix)}
      lastSeries={series.find(({ prefix }) => prefix === usual?.series)?.prefix ?? null}
      start={model ? draftLike(model) : own ? withOwnForm(empty, own) : empty}
    />
  );
}
