'use client';
import { celsius } from '@/core/units';
import { QuantityText, Said } from '@/ui/units';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ulid } from 'ulid';
import { predict, sayCone, saySegments } from '@/core/firing';
import type { KilnHabits, Reached, Kiln, Programme } from '@/records/firings';
import { Acts, PageHeader } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { hours } from '@/features/shared/clock';
import { ProgrammeEditor, type ProgrammeFields } from './ProgrammeEditor';
import { programmeConeWords } from '../model/programmeConeWords';
import css from './programmes.module.css';

interface Props {
  readonly programmes: readonly Programme[];
  readonly kilns: readonly Kiln[];
  readonly habits: readonly KilnHabits[];
  /** What each kiln reached with each programme, by programme. */
  readonly reached: Readonly<Record<string, readonly Reached[]>>;
  readonly mayWrite: boolean;
}

const FIRST = [
  { rate: 150, target: 1100, hold: 0 },
  { rate: 60, target: 1220, hold: 10 },
];

/** The studio's programmes, what each comes to, and the editor. */
export function ProgrammesView({ programmes, kilns, habits, reached, mayWrite }: Props) {
  const [open, setOpen] = useState<ProgrammeFields | null>(null);
  return (
    <>
      <PageHeader first={programmes[0]?.name ?? 'Programmes'} last={programmes.at(-1)?.name}>
        <h1>Programmes</h1>
        <Acts>
          <LinkButton href="/kilns">Kilns</LinkButton>
          {mayWrite && (
            <Button
              variant="contained"
              onClick={() => setOpen({ id: ulid(), name: '', segments: FIRST, note: '', version: null })}
            >
              New programme
            </Button>
          )}
        </Acts>
      </PageHeader>
      {open && (
        <ProgrammeEditor
          key={open.id}
          programme={open}
          kilns={kilns}
          habits={habits}
          mayWrite={mayWrite}
          onDone={() => setOpen(null)}
        />
      )}
      {programmes.length === 0 && !open && (
        <p>No programme yet. Add the first one to see the cone it reaches.</p>
      )}
      <ul className={css.list}>
        {programmes.map((programme) => {
          const { minutes, coneIndex, peakCelsius } = predict(programme.segments);
          return (
            <li key={programme.id} data-open={open?.id === programme.id || undefined}>
              <button type="button" onClick={() => setOpen(open?.id === programme.id ? null : programme)}>
                <b className={css.name}>{programme.name}</b>
                <span>
                  <Said of={saySegments(programme.segments)} />
                </span>
                <span className="quiet">
                  {coneIndex === null ? (
                    <QuantityText of={celsius(peakCelsius)} />
                  ) : (
                    `cone ${sayCone(coneIndex)}`
                  )}
                  , {hours(minutes)} h, {programme.firings} {programme.firings === 1 ? 'firing' : 'firings'}
                </span>
                <span className={css.reached}>{programmeConeWords(reached[programme.id] ?? [])}</span>
              </button>
            </li>
          );
        })}
      </ul>
    </>
  );
}
