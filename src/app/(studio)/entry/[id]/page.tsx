import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { headwordPage } from '@/records/dictionary';
import { listGlazes } from '@/records/glazes';
import { EntryView } from '@/screens/entry/EntryView';
import { orNotFound } from '@/screens/notFound';

export const metadata = { title: 'Entry' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  await memberOfPage();
  const [headword, glazes] = await Promise.all([
    orNotFound(headwordPage(db(), (await params).id)),
    listGlazes(db(), { tests: true }),
  ]);
  return <EntryView headword={headword} glazes={glazes} />;
}
