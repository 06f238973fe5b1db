import { requireMember } from '@/auth';
import { FORMS } from '@/core/vocabulary';
import { db } from '@/records/platform';
import { piecesById } from '@/records/pieces';
import { emptyDraft, withOwnForm } from '@/features/pieces/model/draft';
import { draftLike } from '@/features/pieces/model/fromPiece';
import { pieceChoices } from '@/features/pieces/server/choices';
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
  const [choices, [model]] = await Promise.all([pieceChoices(member), piecesById(db(), like ? [like] : [])]);
  const { bodies, glazes, makers, forms, inUse, clay, form, rooms, series, lastSeries, reminders } = choices;
  if (bodies.length === 0 || glazes.length === 0)
    return <FirstThings bodies={bodies.length} glazes={glazes.length} />;
  const asked = FORMS.find((one) => one === formId);
  const empty = emptyDraft(asked ?? form ?? 'tile', clay?.id ?? '');
  const own = forms.find(({ id }) => id === formId);
  return (
    <PieceEditor
      key={like ?? formId ?? setWith ?? 'new'}
      {...{ bodies, glazes, makers, setWith, rooms, series, lastSeries, reminders }}
      ownForms={forms}
      formsInUse={inUse}
      start={model ? draftLike(model) : own ? withOwnForm(empty, own) : empty}
    />
  );
}
