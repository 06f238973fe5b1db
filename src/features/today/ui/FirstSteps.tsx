'use client';
import CheckOutlined from '@mui/icons-material/CheckOutlined';
import Button from '@mui/material/Button';
import type { FirstStep, FirstSteps as Steps } from '@/records/rounds';
import { FormErrors } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { useMutation } from '@/ui/useMutation';
import { skipStep } from '../actions';
import css from './today.module.css';

interface Way {
  readonly name: string;
  readonly why: string;
  /** Where it is done; the first is the usual way. */
  readonly ways: readonly (readonly [words: string, href: string])[];
}

const WAYS: Readonly<Record<FirstStep, Way>> = {
  studio: {
    name: 'The studio',
    why: 'Its name, time zone and units.',
    ways: [['Set up the studio', '/studio']],
  },
  kilns: {
    name: 'Kilns',
    why: 'Name, heat and shelves; the queue and the load map need them.',
    ways: [['Add a kiln', '/kilns?at=new']],
  },
  clays: {
    name: 'Clays',
    why: 'One name a line is enough for now.',
    ways: [['Add clays', '/clays?add=several']],
  },
  glazes: {
    name: 'Glazes',
    why: 'Type the names one under the other, or paste them; recipes can wait.',
    ways: [['Add glazes', '/glazes?add=several']],
  },
  people: {
    name: 'People',
    why: 'A link or a QR code for a whole class.',
    ways: [['Invite', '/people?card=invite']],
  },
  'first thing': {
    name: 'A first thing',
    why: 'What is on the shelf, or a round of tests.',
    ways: [
      ['Log a piece', '/pieces/new'],
      ['Plan a round', '/rounds/new'],
    ],
  },
};

const ORDER = Object.keys(WAYS) as FirstStep[];

/** What a new studio does first; every step may be skipped, and all of it put away. */
export function FirstSteps({ done, skipped }: Steps) {
  const { run, isBusy, errors } = useMutation();
  const open = ORDER.filter((step) => !done.includes(step) && !skipped.includes(step));
  return (
    <section aria-label="First steps" className={css.steps}>
      <header>
        <h2>First steps</h2>
        <span className="quiet">
          <span className="figures">{done.length}</span> of <span className="figures">{ORDER.length}</span>{' '}
          done
        </span>
        <Button size="small" disabled={isBusy} onClick={() => void run(() => skipStep({ step: 'all' }))}>
          Put these away
        </Button>
      </header>
      <FormErrors errors={errors} />
      <ol>
        {ORDER.map((step) => {
          const { name, why, ways } = WAYS[step];
          const isDone = done.includes(step);
          return (
            <li key={step} data-done={isDone || undefined}>
              <span>
                {isDone && <CheckOutlined fontSize="small" titleAccess="done" />} <b>{name}</b>{' '}
                <span className="quiet">{skipped.includes(step) && !isDone ? 'skipped' : why}</span>
              </span>
              <span>
                {!isDone &&
                  ways.map(([words, href], i) => (
                    <LinkButton
                      key={href}
                      href={href}
                      variant={step === open[0] && i === 0 ? 'contained' : 'outlined'}
                    >
                      {words}
                    </LinkButton>
                  ))}
                {open.includes(step) && (
                  <Button disabled={isBusy} onClick={() => void run(() => skipStep({ step }))}>
                    Skip
                  </Button>
                )}
              </span>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
