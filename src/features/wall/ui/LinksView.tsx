'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRef, useState } from 'react';
import type { Share } from '@/records/dictionary';
import { Form, FormErrors, SelectInput, SwitchInput, TextInput, useSavedForm } from '@/ui/kit';
import { shortDay } from '@/core/time';
import { GuideWords } from '@/ui/frame';
import { useMutation } from '@/ui/useMutation';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { NewLink } from '@/ui/NewLink';
import { newToken } from '@/ui/newToken';
import { useUndo } from '@/ui/Undo';
import { setShareEnded, shareWall } from '../actions';
import { newLinkSchema, SHARE_DAYS } from '../schema';
import css from './wall.module.css';

interface Props {
  readonly links: readonly Share[];
  /** The wall to be shared, as it stands in its address, and in words. */
  readonly search: string;
  readonly words: string;
}

const DAY_WORDS: Readonly<Record<(typeof SHARE_DAYS)[number], string>> = {
  1: 'a day',
  7: 'a week',
  30: 'a month',
  180: 'half a year',
  365: 'a year',
};

/** Links for visitors: make one, see which work, end them. */
export function LinksView({ links, search, words }: Props) {
  const [made, setMade] = useState<string | null>(null);
  const { run, isBusy, errors } = useMutation();
  const { offer, bar } = useUndo();
  const [idOf, kept] = useIdempotentId();
  const tokens = useRef(new Map<string, string>());
  const form = useSavedForm({
    schema: newLinkSchema,
    values: { name: 'What our glazes do', days: 30, recipes: false, names: false },
    under: 'share',
    save: async ({ days, ...typed }) => {
      const what = { ...typed, search };
      const id = idOf([what, days]);
      // A link that is asked for again, because its answer was lost, is the same link with the same key.
      const token = tokens.current.get(id) ?? newToken();
      tokens.current.set(id, token);
      const outcome = await shareWall({ share: { id, ...what }, token, days });
      if (outcome.ok) {
        kept([what, days]);
        setMade(`${window.location.origin}/share/${token}`);
      }
      return outcome;
    },
  });
  const { control } = form;
  const end = async (link: Share) => {
    if ((await run(() => setShareEnded({ id: link.id, ended: true }))) !== undefined)
      offer(
        `“${link.name}” ended; open pages close by themselves`,
        () => void run(() => setShareEnded({ id: link.id, ended: false })),
      );
  };
  return (
    <>
      <GuideWords first="Share the wall" />
      <h1>Share the wall</h1>
      <div className={css.sharing}>
        <Form of={form} className={css.linkForm} label="New link" button="Make link" busy="Making link">
          <p>
            Whoever has the link sees <Link href={`/wall?${search}`}>{words}</Link> and its entries, and
            nothing else of the studio.
          </p>
          <TextInput control={control} name="name" label="Title for visitors" />
          <SelectInput
            control={control}
            name="days"
            label="Works for"
            options={SHARE_DAYS.map((days) => [days, DAY_WORDS[days]] as const)}
          />
          <SwitchInput control={control} name="recipes" label="With recipes" />
          <SwitchInput control={control} name="names" label="With the names of who made the pieces" />
        </Form>
        <div>
          {made && <MadeLink address={made} search={search} />}
          <h2>Links</h2>
          <FormErrors errors={errors} />
          {links.length === 0 && <p className="quiet">None yet.</p>}
          <ul className={css.links}>
            {links.map((link) => {
              const over = link.endedAt ?? (link.expiresAt < new Date() ? link.expiresAt : null);
              return (
                <li key={link.id}>
                  <b>{link.name}</b>
                  <span className="quiet">
                    by {link.by}, {shortDay(link.at)}; {link.recipes ? 'with' : 'without'} recipes,{' '}
                    {link.names ? 'with' : 'without'} names
                  </span>
                  {over ? (
                    <span className="quiet">ended {shortDay(over)}</span>
                  ) : (
                    <>
                      <span>until {shortDay(link.expiresAt)}</span>
                      <Button size="small" disabled={isBusy} onClick={() => void end(link)}>
                        End link
                      </Button>
                    </>
                  )}
                </li>
              );
            })}
          </ul>
        </div>
      </div>
      {bar}
    </>
  );
}

/** A link that was just made, with a poster and the screen on the wall. */
function MadeLink({ address, search }: { address: string; search: string }) {
  const path = new URL(address).pathname;
  return (
    <NewLink address={address}>
      <Button component={Link} href={`/wall/print?${search}&link=${encodeURIComponent(path)}`}>
        Poster with this QR code
      </Button>
      <p>
        For the big screen on the wall: <a href={`${address}?kiosk=1`}>walk through what is new</a>
      </p>
    </NewLink>
  );
}
