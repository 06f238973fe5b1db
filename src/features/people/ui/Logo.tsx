'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import type { Outcome } from '@/auth';
import { Acts, FormErrors } from '@/ui/kit';
import { PhotoPicker } from '@/ui/PhotoPicker';
import { useMutation } from '@/ui/useMutation';
import { removeLogo } from '../actions';
import css from './people.module.css';

/** The picture at the head of the studio's prints: choose it, change it, take it away. */
export function Logo({ hash }: { readonly hash: string | null }) {
  const router = useRouter();
  const { run, isBusy, errors } = useMutation();
  const send = async (file: File) => {
    const form = new FormData();
    form.set('file', file);
    const sent = await run(async () => {
      const answer = await fetch('/api/v1/logo', { method: 'POST', body: form });
      return (await answer.json()) as Outcome<null>;
    });
    if (sent !== undefined) router.refresh();
  };
  return (
    <section aria-label="Logo" className={css.section}>
      <h2>Logo</h2>
      <p className="small quiet">It stands at the head of reports, bench sheets, books and posters.</p>
      {hash && <img className={css.logo} src={`/api/v1/photos/${hash}?width=320`} alt="The studio’s logo" />}
      <Acts>
        <PhotoPicker
          label={hash ? 'Another picture' : 'Choose a picture'}
          onPick={([file]) => file && void send(file)}
        />
        {hash && (
          <Button disabled={isBusy} onClick={() => void run(() => removeLogo({ hash }))}>
            Remove
          </Button>
        )}
      </Acts>
      <FormErrors errors={errors} />
    </section>
  );
}
