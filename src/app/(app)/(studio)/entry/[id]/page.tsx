import { labOf } from '@/core/colour';
import { requireMember } from '@/auth';
import { entriesLike, headwordPage, correctionsOf } from '@/records/dictionary';
import { db } from '@/records/platform';
import { listGlazes } from '@/records/materials';
import { hasRole } from '@/records/people';
import { usualOf } from '@/records/pieces';
import { isMine, mineFirst } from '@/features/dictionary/model/mineFirst';
import { EntryView } from '@/features/dictionary/ui/EntryView';
import { orNotFound } from '@/features/shared/notFound';

export const metadata = { title: 'Entry' };

/** Neighbours in colour that are shown. */
const NEAR = 5;

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await requireMember('/entry/[id]');
  const [headword, glazes, usual] = await Promise.all([
    orNotFound(headwordPage(db(), (await params).id)),
    listGlazes(db(), { tests: true }),
    usualOf(db(), member.id),
  ]);
  const senses = mineFirst(headword.senses, usual);
  const first = senses.find((sense) => sense.colour);
  const [near, corrections] = await Promise.all([
    first
      ? entriesLike(db(), { cone: first.cone, butHeadword: headword.id }, labOf(first.colour!), {
          most: NEAR,
          isChief: true,
        })
      : [],
    correctionsOf(
      db(),
      headword.senses.map(({ id }) => id),
    ),
  ]);
  return (
    <EntryView
      headword={{ ...headword, senses }}
      ownIds={senses.filter((sense) => isMine(sense, usual)).map(({ id }) => id)}
      glazes={glazes}
      near={near}
      corrections={corrections}
      mayTeach={hasRole(member.role, 'teacher')}
    />
  );
}
