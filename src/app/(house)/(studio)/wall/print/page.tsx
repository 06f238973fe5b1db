import { z } from 'zod';
import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { provedHeadwords } from '@/records/dictionary';
import { PrintView } from '@/screens/print/PrintView';
import { wallSearch } from '@/screens/wall/choose';
import { wallOf, wallWords } from '@/screens/wall/wallOf';

export const metadata = { title: 'Print' };

const linkSchema = z
  .string()
  .regex(/^\/share\/[\w-]{43}$/)
  .nullable()
  .catch(null);

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  await memberOfPage();
  const params = await searchParams;
  const [wall, headwords] = await Promise.all([wallOf(db(), params), provedHeadwords(db())]);
  return (
    <PrintView
      search={wallSearch(wall)}
      words={wallWords(wall)}
      link={linkSchema.parse(params.link ?? null)}
      headwords={headwords.length}
    />
  );
}
