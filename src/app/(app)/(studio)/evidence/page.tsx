import { readFile } from 'node:fs/promises';
import { resolve } from 'node:path';
import Markdown from 'react-markdown';
import { requireMember } from '@/auth';
import { GuideWords } from '@/ui/frame';
import css from '@/ui/prose.module.css';

export const metadata = { title: 'What the dictionary counts' };

/** The heading from which on the page speaks to those who read the code. */
const FOR_ENGINEERS = '## Where each rule stands';

/** The rules by which the dictionary counts, as docs/evidence.md has them. */
export default async function Page() {
  await requireMember('/evidence');
  const text = await readFile(resolve('docs/evidence.md'), 'utf8');
  return (
    <>
      <GuideWords first="What the dictionary counts" />
      <article className={css.prose}>
        <Markdown>{text.split(FOR_ENGINEERS)[0]}</Markdown>
      </article>
    </>
  );
}
