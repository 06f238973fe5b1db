'use client';
import Button from '@mui/material/Button';
import { Fragment } from 'react';
import { dayOf, dayWords, wordsOf } from '@/core/time';
import type { ChangeFilter, StudioChange } from '@/records/changes';
import { FormErrors, PageHeader, SelectField } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { useAddress } from '@/ui/useAddress';
import { useMutation } from '@/ui/useMutation';
import { useUnits } from '@/ui/units';
import { takeBack } from '../actions';
import { changeRuns, pageOf, type ChangeRun } from '../model/changeRuns';
import { kindWords } from '../model/changeWords';
import Link from 'next/link';
import css from './people.module.css';

interface Props {
  readonly changes: readonly StudioChange[];
  readonly filter: ChangeFilter;
  /** Kinds of records that were changed, and those who changed them; nobody where only one is seen. */
  readonly kinds: readonly string[];
  readonly people: readonly { readonly id: string; readonly name: string }[];
  /** The last change shown, when there are older ones. */
  readonly older: string | null;
}

/** Who changed what, day by day, from what to what; with a way back where nothing was written over it since. */
export function ChangesView({ changes, filter, kinds, people, older }: Props) {
  const units = useUnits();
  const { run: write, isBusy, errors } = useMutation();
  const { change: setAddress } = useAddress();
  const choose = (name: string) => (value: string) =>
    setAddress((next) => {
      next.delete('before');
      if (value) next.set(name, value);
      else next.delete(name);
    });
  const days = new Map<string, StudioChange[]>();
  for (const one of changes) days.set(dayOf(one.at), [...(days.get(dayOf(one.at)) ?? []), one]);
  const olderAddress = new URLSearchParams(
    Object.entries({
      what: filter.what,
      id: filter.rowId,
      by: filter.memberId,
      before: older ?? undefined,
    }).filter((pair): pair is [string, string] => Boolean(pair[1])),
  );
  return (
    <>
      <PageHeader first="Changes">
        <h1>
          {filter.rowId && changes[0]
            ? `Changes: ${changes[0].name ?? kindWords(changes[0].what)}`
            : 'Changes'}
        </h1>
        <SelectField
          label="Of"
          className={css.choice}
          value={filter.what ?? ''}
          onChange={choose('what')}
          options={[['', 'everything'], ...kinds.map((kind) => [kind, kindWords(kind)] as const)]}
        />
        {people.length > 0 && (
          <SelectField
            label="By"
            className={css.choice}
            value={filter.memberId ?? ''}
            onChange={choose('by')}
            options={[['', 'everybody'], ...people.map(({ id, name }) => [id, name] as const)]}
          />
        )}
      </PageHeader>
      <FormErrors errors={errors} />
      {changes.length === 0 && <p>No change here yet.</p>}
      {[...days].map(([day, all]) => (
        <section key={day} aria-label={dayWords(day)} className={css.section}>
          <h2>{dayWords(day)}</h2>
          <ul>
            {changeRuns(all, units).map((run) => (
              <li key={run.change.id} className={css.change}>
                <span className="figures quiet">{wordsOf(run.change.at, 'time')}</span>
                <span>
                  <b>{run.change.by ?? 'Jiten'}</b> {run.deed}{' '}
                  {run.change.memberId !== run.change.rowId && <Names of={run.of} />}
                  <span className={css.fields}>
                    {run.fields.map(({ field, from, to }) => (
                      <span key={field}>
                        {field}:{' '}
                        {from !== null && (
                          <>
                            <del>{from}</del> to{' '}
                          </>
                        )}
                        <ins>{to}</ins>
                      </span>
                    ))}
                  </span>
                </span>
                {run.change.isUndoable && (
                  <Button
                    size="small"
                    disabled={isBusy}
                    onClick={() => void write(() => takeBack({ id: run.change.id }))}
                  >
                    Put back
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </section>
      ))}
      {older && (
        <p className={css.section}>
          <LinkButton href={`/changes?${olderAddress}`}>Older changes</LinkButton>
        </p>
      )}
    </>
  );
}

/** Names in one line at most. */
const NAMED = 6;

/** What was changed, each with the way to its page. */
function Names({ of }: Pick<ChangeRun, 'of'>) {
  const named = of.filter(({ name }) => name !== null);
  const more = named.length - NAMED;
  return (
    <b>
      {named.slice(0, NAMED).map((one, i) => {
        const page = pageOf(one);
        return (
          <Fragment key={one.name}>
            {i > 0 && ', '}
            {page ? <Link href={page}>{one.name}</Link> : one.name}
          </Fragment>
        );
      })}
      {more > 0 && ` and ${more} more`}
    </b>
  );
}
