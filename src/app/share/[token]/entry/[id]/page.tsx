import { studioNow } from '@/auth';
import { notFound } from 'next/navigation';
import { db, nullIfNotFound } from '@/records/platform';
import { headwordPage } from '@/records/dictionary';
import { listGlazes, recipesInUse } from '@/records/materials';
import { makersOf } from '@/records/people';
import { RefreshOnChange } from '@/ui/RefreshOnChange';
import { SharedEntry } from '@/features/wall/ui/SharedEntry';
import { sharedWall, visit } from '@/features/wall/server/visit';

export const metadata = { title: 'Entry' };

export default async function Page({ params }: { params: Promise<{ token: string; id: string }> }) {
  const { token, id } = await params;
  const share = await visit(token);
  if (!share) notFound();
  const { choice, entries } = await sharedWall(share);
  if (!entries.some(({ headwordId }) => headwordId === id)) notFound();
  const [whole, glazes] = await Promise.all([
    nullIfNotFound(headwordPage(db(), id)),
    listGlazes(db(), { tests: true }),
  ]);
  if (!whole) notFound();
  const senses = whole.senses.filter(
    (sense) =>
      sense.cone === choice.cone &&
      sense.atmosphere === choice.atmosphere &&
      choice.grounds.includes(sense.groundId),
  );
  const pieces = senses.flatMap(({ proofs }) => proofs.map(({ pieceId }) => pieceId));
  const recipes = share.recipes ? await recipesInUse(db()) : [];
  return (
    <>
      <RefreshOnChange from={`/share/${token}/live`} />
      <SharedEntry
        headword={{ ...whole, senses }}
        names={new Map(glazes.map(({ id: glazeId, name }) => [glazeId, name]))}
        recipes={recipes.filter(({ glazeId }) => whole.glazeIds.includes(glazeId))}
        makers={share.names ? await makersOf(db(), pieces) : new Map()}
        at={`/share/${token}`}
        units={(await studioNow()).units}
      />
    </>
  );
}
