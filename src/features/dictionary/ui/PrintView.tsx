'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import { SelectField, WordField } from '@/ui/kit';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { DictionaryPrint } from './DictionaryPrint';
import css from './print.module.css';

const SIZES = ['A3', 'A2', 'A1', 'A0'] as const;

interface Props {
  /** The wall of the poster, as it stands in its address, and in words. */
  readonly search: string;
  readonly words: string;
  /** A visitors' link that its QR code leads to; the wall itself when null. */
  readonly link: string | null;
  readonly headwords: number;
}

/** Everything that is printed for the whole studio: poster, dictionary, bucket cards, handout. */
export function PrintView({ search, words, link, headwords }: Props) {
  const [title, setTitle] = useState('What our glazes do');
  const [size, setSize] = useState<(typeof SIZES)[number]>('A2');
  const [sheet, setSheet] = useState('A4');
  const sheets = ['A4', ...SIZES.slice(0, SIZES.indexOf(size) + 1)];
  const asked = new URLSearchParams(search);
  for (const [key, value] of Object.entries({ title, size, sheet, link })) if (value) asked.set(key, value);
  return (
    <>
      <GuideWords first="Print" />
      <h1>Print</h1>
      {headwords === 0 && <p>No tile has been read yet: poster and dictionary would be empty.</p>}
      <div className={css.parts}>
        <section aria-label="Poster" hidden={headwords === 0}>
          <h2>Wall poster</h2>
          <p>
            <Link href={`/wall?${search}`}>{words}</Link>, with photos, legend and a QR code{' '}
            {link ? 'to the visitors’ link' : 'to the wall'}.
          </p>
          <WordField label="Title" value={title} onChange={setTitle} />
          <div className={css.pair}>
            <SelectField
              label="Size of the poster"
              value={size}
              onChange={(next) => {
                setSize(next);
                if (sheet !== 'A4' && SIZES.indexOf(sheet as typeof size) > SIZES.indexOf(next))
                  setSheet(next);
              }}
              options={SIZES.map((one) => [one, one] as const)}
            />
            <SelectField
              label="Printed on"
              value={sheet}
              onChange={setSheet}
              options={sheets.map(
                (one) => [one, one === size ? `one sheet of ${one}` : `${one}, to glue together`] as const,
              )}
            />
          </div>
          <Button variant="contained" component="a" href={`/api/v1/wall/poster?${asked}`} target="_blank">
            Make the poster
          </Button>
        </section>
        {headwords > 0 && <DictionaryPrint headwords={headwords} />}
        <section aria-label="Bucket cards">
          <h2>Bucket cards</h2>
          <p>One for each glaze: how it behaves, how it looks fired, what to watch for.</p>
          <LinkButton href="/glazes/cards">All bucket cards</LinkButton>
        </section>
        <section aria-label="Class handout">
          <h2>Class handout</h2>
          <p>
            Pick pieces up with <kbd>p</kbd>; the bench then prints their entries as a handout.
          </p>
        </section>
      </div>
    </>
  );
}
