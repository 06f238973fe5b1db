'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import { ulid } from 'ulid';
import { Acts, PageHeader, WordField } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { PhotoPicker } from '@/ui/PhotoPicker';
import { sendPhoto } from '@/ui/sendPhoto';
import { useObjectUrl } from '@/ui/useObjectUrl';
import { takePhotoFirst } from '../actions';
import css from './photoFirst.module.css';

/** A piece on its way: its picture, its number once it has one, and what went wrong. */
interface Taken {
  readonly id: string;
  readonly photoId: string;
  readonly file: File;
  readonly ownNumber: string;
  readonly label: string | null;
  readonly state: 'sending' | 'stored' | 'failed';
  readonly error: string;
}

/** A picture and a number now; what the piece is may be said later. */
export function PhotoFirst() {
  const [ownNumber, setOwnNumber] = useState('');
  const [taken, setTaken] = useState<readonly Taken[]>([]);
  const change = (id: string, part: Partial<Taken>) =>
    setTaken((before) => before.map((one) => (one.id === id ? { ...one, ...part } : one)));
  const send = async (one: Taken) => {
    change(one.id, { state: 'sending', error: '' });
    const fail = (error: string) => change(one.id, { state: 'failed', error });
    try {
      const outcome = await takePhotoFirst({ id: one.id, ownNumber: one.ownNumber });
      if (!outcome.ok) return fail(outcome.errors[0]?.message ?? 'The piece was not accepted.');
      change(one.id, { label: outcome.value.label });
    } catch {
      return fail('The server did not answer. The picture is kept while this page is open.');
    }
    const failed = await sendPhoto(one.file, one.id, null, one.photoId);
    if (failed) fail(failed);
    else change(one.id, { state: 'stored' });
  };
  const take = async (files: readonly File[]) => {
    const fresh = files.map((file): Taken => ({
      ...{ id: ulid(), photoId: ulid(), file, ownNumber: files.length === 1 ? ownNumber.trim() : '' },
      ...{ label: null, state: 'sending', error: '' },
    }));
    setTaken((before) => [...fresh.toReversed(), ...before]);
    setOwnNumber('');
    // In the order in which they were taken, so that their numbers are.
    for (const one of fresh) await send(one);
  };
  return (
    <>
      <PageHeader first="Photo first">
        <h1>Photo first</h1>
        <p className="quiet">
          A picture and a number now; what it is, later. Until then it waits on Today and proves nothing.
        </p>
      </PageHeader>
      <div className={css.take}>
        <WordField
          label="Own number, if it has one"
          value={ownNumber}
          onChange={setOwnNumber}
          slotProps={{ htmlInput: { maxLength: 24 } }}
        />
        <PhotoPicker
          label={taken.length === 0 ? 'Take the photo' : 'Next piece'}
          camera
          onPick={(files) => void take(files)}
        />
        <PhotoPicker label="From files, a piece each" onPick={(files) => void take(files)} />
      </div>
      <ul className={css.taken} aria-label="Photographed">
        {taken.map((one) => (
          <li key={one.id}>
            <Picture file={one.file} />
            <div role="status">
              {one.label && (
                <>
                  <Link href={`/pieces/${one.label}`} className={css.number}>
                    {one.label}
                  </Link>
                  <p>Write it under the foot.</p>
                </>
              )}
              {one.state === 'sending' && <p className="quiet">Storing…</p>}
              {one.error && (
                <p role="alert" className="heat">
                  {one.error}
                </p>
              )}
              <Acts>
                {one.state === 'failed' && (
                  <Button variant="contained" onClick={() => void send(one)}>
                    Try again
                  </Button>
                )}
                {one.state === 'stored' && (
                  <LinkButton href={`/pieces/${one.label}/edit`}>Say what it is</LinkButton>
                )}
              </Acts>
            </div>
          </li>
        ))}
      </ul>
    </>
  );
}

function Picture({ file }: { readonly file: File }) {
  const url = useObjectUrl(file);
  return url ? <img src={url} alt="" width={120} height={120} /> : null;
}
