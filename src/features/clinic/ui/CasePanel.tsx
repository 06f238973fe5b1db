'use client';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useState } from 'react';
import { causeOf, LINKS, type CauseId } from '@/core/clinic';
import type { ClinicCase, CaseFields, CaseChange } from '@/records/clinic';
import { shortDay } from '@/ui/dates';
import { FormErrors } from '@/ui/FormErrors';
import { ConflictNotice } from '@/ui/ConflictNotice';
import { useMutation, type OverTheWire } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { saveCase, saveTry } from '../actions';
import css from './clinic.module.css';
import { WORKED, WORKED_WORDS } from '../model/tries';

interface Props {
  readonly found: ClinicCase;
  /** The answers on the page, as they stand in its address. */
  readonly told: string;
  /** The cause that ranks first. */
  readonly first: CauseId;
  readonly rounds: readonly { readonly id: string; readonly name: string }[];
}

/** What was tried in a case, and its end: the cause that it was and what really helped. */
export function CasePanel({ found, told, first, rounds }: Props) {
  const { run, isBusy, errors, theirs } = useMutation<CaseFields>();
  const [idOf, kept] = useIdempotentId();
  const [tried, setTried, , drop] = usePersistedState(`jiten.case.${found.id}`, {
    act: '',
    worked: 'not yet',
    roundId: '',
  });
  const [cause, setCause] = useState<CauseId>(found.cause ?? first);
  const [helped, setHelped] = useState(found.helped ?? '');
  const closed = found.closedAt !== null;
  const change = (what: CaseChange & { readonly version?: number }) =>
    run(() => saveCase({ id: found.id, version: found.version, ...what }));
  const note = async () => {
    const said = { caseId: found.id, ...tried, roundId: tried.roundId || null };
    if ((await run(() => saveTry({ ...said, id: idOf(said) }))) === undefined) return;
    kept(said);
    drop();
    setTried({ act: '', worked: 'not yet', roundId: '' });
  };
  return (
    <section className={css.panel} aria-label={`Case ${found.number}`}>
      <h2>
        Case {found.number}
        {closed ? `: ${causeOf(found.cause!).name}` : ', open'}
      </h2>
      <p className="quiet small">
        Opened by {found.by}, {shortDay(found.openedAt)}
        {found.closedAt && `; closed ${shortDay(found.closedAt)}. What helped: ${found.helped}`}
      </p>
      {theirs && (
        <ConflictNotice
          rows={rowsOf(theirs, { told, cause, helped })}
          onKeepMine={() =>
            void change({
              version: theirs.version,
              ...(helped.trim() ? { closed: { cause, helped } } : { answers: told }),
            })
          }
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
          <div className={css.fields}>
            <TextField
              label="What was tried"
              value={tried.act}
              onChange={(event) => setTried({ ...tried, act: event.target.value })}
            />
            <TextField
              select
              label="Did it help?"
              value={tried.worked}
              onChange={(event) => setTried({ ...tried, worked: event.target.value })}
            >
              {WORKED.map((word) => (
                <MenuItem key={word} value={word}>
                  {WORKED_WORDS[word]}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              select
              label="In which round"
              value={rounds.some(({ id }) => id === tried.roundId) ? tried.roundId : ''}
              onChange={(event) => setTried({ ...tried, roundId: event.target.value })}
            >
              <MenuItem value="">none</MenuItem>
              {rounds.map((round) => (
                <MenuItem key={round.id} value={round.id}>
                  {round.name}
                </MenuItem>
              ))}
            </TextField>
            <Button disabled={isBusy || !tried.act.trim()} onClick={() => void note()}>
              Save what was tried
            </Button>
          </div>
          <div className={css.fields}>
            <TextField
              select
              label="Cause found"
              value={cause}
              onChange={(event) => setCause(event.target.value as CauseId)}
            >
              {LINKS[found.defect].map((id) => (
                <MenuItem key={id} value={id}>
                  {causeOf(id).name}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              label="What helped"
              value={helped}
              onChange={(event) => setHelped(event.target.value)}
            />
            <Button
              variant="contained"
              disabled={isBusy || !helped.trim()}
              onClick={() => void change({ closed: { cause, helped } })}
            >
              Close the case
            </Button>
          </div>
        </>
      )}
    </section>
  );
}

/** What differs between this page and what somebody else kept meanwhile. */
function rowsOf(
  theirs: OverTheWire<CaseFields>,
  mine: { readonly told: string; readonly cause: CauseId; readonly helped: string },
) {
  const closed = theirs.closedAt !== null;
  return [
    { name: 'Answers', mine: mine.told || 'none', theirs: theirs.answers || 'none' },
    {
      name: 'Cause',
      mine: causeOf(mine.cause).name,
      theirs: closed && theirs.cause ? causeOf(theirs.cause).name : 'open',
    },
    {
      name: 'What helped',
      mine: mine.helped || 'nothing yet',
      theirs: theirs.helped ?? 'nothing yet',
    },
  ].filter((row) => row.mine !== row.theirs);
}
