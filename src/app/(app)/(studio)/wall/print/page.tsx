import { z } from 'zod';
import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { provedHeadwords } from '@/records/dictionary';
import { PrintView } from '@/features/dictionary/ui/PrintView';
import { wallSearch } from '@/features/wall/model/choose';
import { wallOf, wallWords } from '@/features/wall/server/wallOf';

export const metadata = { title: 'Print' };

const linkSchema = z
  .string()
  .regex(/^\/share\/[\w-]{43}$/)
  .nullable()
  .catch(null);

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  await requireMember('/wall/print');
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
