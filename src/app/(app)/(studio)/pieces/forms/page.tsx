import { requireMember } from '@/auth';
import { hasRole } from '@/records/people';
import { db } from '@/records/platform';
import { archivedForms, listForms } from '@/records/pieces';
import { FormsView } from '@/features/pieces/ui/FormsView';

export const metadata = { title: 'Forms' };

export default async function Page() {
  const member = await requireMember('/pieces/forms');
  const [forms, archived] = await Promise.all([listForms(db()), archivedForms(db())]);
  return <FormsView {...{ forms, archived }} mayChange={hasRole(member.role, 'teacher')} />;
}
