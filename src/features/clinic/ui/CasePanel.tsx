'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { closedCauseWords, type CauseId } from '@/core/clinic';
import type { ClinicCase, CaseFields, CaseChange } from '@/records/clinic';
import { ConflictNotice, FormErrors } from '@/ui/kit';
import { shortDay } from '@/core/time';
import { useMutation, type OverTheWire } from '@/ui/useMutation';
import { saveCase } from '../actions';
import css from './clinic.module.css';
import { WORKED_WORDS } from '../model/tries';
import { CloseForm } from './CloseForm';
import { TryForm } from './TryForm';

interface Props {
  readonly found: ClinicCase;
  /** The answers on the page, as they stand in its address. */
  readonly told: string;
  /** The cause that ranks first. */
  readonly first: CauseId;
  readonly rounds: readonly { readonly id: string; readonly name: string }[];
  /** What speaks against the cause it was closed with. */
  readonly contradictions: readonly string[];
}

/** What was tried in a case, and its end: the cause that it was and what really helped. */
export function CasePanel({ found, told, first, rounds, contradictions }: Props) {
  const { run, isBusy, errors, theirs } = useMutation<CaseFields>();
  const closed = found.closedAt !== null;
  const change = (what: CaseChange & { readonly version?: number }) =>
    run(() => saveCase({ id: found.id, version: found.version, ...what }));
  return (
    <section className={css.panel} aria-label={`Case ${found.number}`}>
      <h2>
        Case {found.number}
        {closed ? `: ${closedCauseWords(found.cause!, found.causeWords)}` : ', open'}
      </h2>
      <p className="quiet small">
        Opened by {found.by}, {shortDay(found.openedAt)}
        {found.closedAt && `; closed ${shortDay(found.closedAt)}. What helped: ${found.helped}`}
      </p>
      {contradictions.map((words) => (
        <p key={words} role="note" className={css.contradiction}>
          {words}
        </p>
      ))}
      {theirs && (
        <ConflictNotice
          rows={answersThatDiffer(theirs, told)}
          onKeepMine={() => void change({ version: theirs.version, answers: told })}
        />
      )}
      <FormErrors errors={errors} />
      {found.tries.length > 0 && (
        <ul className={css.tiles}>
          {found.tries.map((one) => (
            <li key={one.id}>
              <b>{one.act}</b>: {WORKED_WORDS[one.worked]}
              <span className="quiet">
                {one.by}, {shortDay(one.at)}
                {one.round && (
                  <>
                    {', in '}
                    <Link href={`/rounds/${one.round.id}`}>{one.round.name}</Link>
                  </>
                )}
              </span>
            </li>
          ))}
        </ul>
      )}
      <p>
        <a href={`/api/v1/cases/${found.id}/report`}>Report as PDF</a>
      </p>
      {closed ? (
        <Button disabled={isBusy} onClick={() => void change({ reopened: true })}>
          Reopen case
        </Button>
      ) : (
        <>
          {told !== found.answers && (
            <Button disabled={isBusy} onClick={() => void change({ answers: told })}>
              Keep these answers
            </Button>
          )}
          <TryForm caseId={found.id} rounds={rounds} />
          <CloseForm found={found} first={first} />
        </>
      )}
    </section>
  );
}

/** The answers on this page beside those that somebody else kept meanwhile. */
function answersThatDiffer(theirs: OverTheWire<CaseFields>, told: string) {
  return [{ name: 'Answers', mine: told || 'none', theirs: theirs.answers || 'none' }];
}
