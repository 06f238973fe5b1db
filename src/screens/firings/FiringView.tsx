'use client';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useState } from 'react';
import { CONES, coneIndex, type FiringState } from '@/core/firing';
import type { Firing, Kiln } from '@/records/firings';
import type { OpeningPiece } from '@/records/openings';
import type { PieceRow } from '@/records/piecePages';
import { shortDay } from '@/ui/dates';
import { Faults } from '@/ui/Faults';
import { Flame } from '@/ui/Flame';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { PieceThumb } from '@/ui/PieceThumb';
import { useAct } from '@/ui/useAct';
import { advance, load, unload } from './actions';
import { FiringForm } from './FiringForm';
import css from './firings.module.css';

interface Props {
  readonly firing: Firing;
  readonly kilns: readonly Kiln[];
  readonly pieces: readonly OpeningPiece[];
  readonly waiting: readonly PieceRow[];
  readonly mayPlan: boolean;
}

const NEXT: Readonly<Partial<Record<FiringState, { to: FiringState; word: string; caution: string }>>> = {
  loading: {
    to: 'firing',
    word: 'Start the firing',
    caution:
      'Kiln wash dry, witness cones in, nothing touching the elements; ventilation on. Gas: carbon monoxide detector on. Lines, flues and wiring are for licensed people and local codes.',
  },
  firing: {
    to: 'cooling',
    word: 'The firing has ended',
    caution: 'Spyholes only through a shade for infrared. Gas off at the cock, or supply switched off.',
  },
};

/** One firing: its plan, its load by shelf, and the next step. */
export function FiringView({ firing, kilns, pieces, waiting, mayPlan }: Props) {
  const { act, busy, faults } = useAct();
  const [editing, setEditing] = useState(false);
  const kiln = kilns.find((one) => one.id === firing.kilnId)!;
  const next = NEXT[firing.state];
  const shelves = [...new Set(pieces.map((piece) => piece.shelf))].sort((a, b) => b - a);
  return (
    <>
      <GuideWords first={`${firing.kilnName} ${firing.number}`} />
      <div className={css.titleRow}>
        <h1>
          {firing.kilnName} <span className="figures">{firing.number}</span>
        </h1>
        <p className="quiet">
          {firing.kind}, cone {firing.cone}, <Flame atmosphere={firing.atmosphere} />,{' '}
          {shortDay(firing.plannedOn)};{' '}
          <b className={firing.state === 'firing' || firing.state === 'cooling' ? 'heat' : undefined}>
            {firing.state}
          </b>
        </p>
        {mayPlan && (
          <Button onClick={() => setEditing(!editing)} sx={{ ml: 'auto' }}>
            {editing ? 'Not now' : 'Change the plan'}
          </Button>
        )}
      </div>
      {editing && (
        <FiringForm
          kilns={kilns}
          version={firing.version}
          onSaved={() => setEditing(false)}
          values={{
            id: firing.id,
            kilnId: firing.kilnId,
            kind: firing.kind,
            cone: firing.cone as '6',
            atmosphere: firing.atmosphere,
            plannedOn: firing.plannedOn,
            programme: firing.programme,
            remarks: firing.remarks,
          }}
        />
      )}
      <div className={css.columns}>
        <aside className={css.margin}>
          {next && (
            <>
              <h3>Next</h3>
              <p className="small">{next.caution}</p>
              {mayPlan && (
                <Button
                  variant="contained"
                  disabled={busy || (firing.state === 'loading' && pieces.length === 0)}
                  onClick={() => void act(() => advance({ firingId: firing.id, to: next.to }))}
                  fullWidth
                >
                  {next.word}
                </Button>
              )}
            </>
          )}
          {(firing.state === 'cooling' || firing.state === 'open' || firing.state === 'closed') && (
            <LinkButton
              variant={firing.state === 'closed' ? 'outlined' : 'contained'}
              href={`/kilns/${firing.id}/opening`}
              fullWidth
            >
              {firing.state === 'closed'
                ? 'Look through it again'
                : firing.state === 'open'
                  ? 'Go on opening'
                  : 'Open the kiln'}
            </LinkButton>
          )}
          {firing.state !== 'loading' && firing.state !== 'firing' && (
            <AchievedCone
              firing={firing}
              disabled={!mayPlan || busy}
              onPick={(achievedCone) =>
                void act(() => advance({ firingId: firing.id, to: firing.state, achievedCone }))
              }
            />
          )}
          {firing.programme && (
            <>
              <h3>Programme</h3>
              <p>{firing.programme}</p>
            </>
          )}
          {firing.remarks && (
            <>
              <h3>Remarks</h3>
              <p>{firing.remarks}</p>
            </>
          )}
          <Faults faults={faults} />
        </aside>
        <div>
          <h2 className={css.heading}>
            In it <span className="figures quiet">{pieces.length}</span>
          </h2>
          {pieces.length === 0 && <p className="quiet">Nothing is in it yet. Choose pieces below.</p>}
          {shelves.map((shelf) => (
            <section key={shelf} className={css.shelf} aria-label={`Shelf ${shelf}`}>
              <h3>Shelf {shelf}</h3>
              <ul className={css.row}>
                {pieces
                  .filter((piece) => piece.shelf === shelf)
                  .map((piece) => (
                    <li key={piece.id} className={css.loaded}>
                      <PieceThumb piece={piece} size={72} />
                      {firing.state === 'loading' && mayPlan && (
                        <Button
                          size="small"
                          variant="text"
                          onClick={() => void act(() => unload({ firingId: firing.id, pieceId: piece.id }))}
                          aria-label={`Take ${piece.label} out`}
                        >
                          Take out
                        </Button>
                      )}
                    </li>
                  ))}
              </ul>
            </section>
          ))}
          {firing.state === 'loading' && mayPlan && (
            <Waiting
              pieces={waiting}
              shelves={kiln.shelves}
              busy={busy}
              onLoad={(ids, shelf) =>
                act(() => load({ firingId: firing.id, places: ids.map((pieceId) => ({ pieceId, shelf })) }))
              }
            />
          )}
        </div>
      </div>
    </>
  );
}

function AchievedCone({
  firing,
  disabled,
  onPick,
}: {
  firing: Firing;
  disabled: boolean;
  onPick: (cone: number | null) => void;
}) {
  return (
    <TextField
      select
      label="Cone reached"
      value={firing.achievedCone ?? ''}
      disabled={disabled}
      onChange={(event) => onPick(event.target.value === '' ? null : Number(event.target.value))}
      sx={{ my: 2 }}
      helperText="As the witness cones show. Proofs more than half a cone off are kept apart."
    >
      <MenuItem value="">not read</MenuItem>
      {[...CONES].reverse().map((cone) => (
        <MenuItem key={cone} value={coneIndex(cone)!}>
          {cone}
        </MenuItem>
      ))}
    </TextField>
  );
}

function Waiting({
  pieces,
  shelves,
  busy,
  onLoad,
}: {
  pieces: readonly PieceRow[];
  shelves: number;
  busy: boolean;
  onLoad: (ids: readonly string[], shelf: number) => Promise<unknown>;
}) {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [shelf, setShelf] = useState(shelves);
  const toggle = (id: string) =>
    setChosen(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id]);
  const put = async () => {
    if ((await onLoad(chosen, shelf)) === null) setChosen([]);
  };
  return (
    <section aria-label="Waiting">
      <h2 className={css.heading}>Waiting</h2>
      {pieces.length === 0 ? (
        <p className="quiet">
          No piece is waiting. <Link href="/pieces/new">Log a new piece.</Link>
        </p>
      ) : (
        <>
          <ul className={css.row}>
            {pieces.map((piece) => (
              <li key={piece.id}>
                <label className={css.pick} data-on={chosen.includes(piece.id) || undefined}>
                  <input
                    type="checkbox"
                    checked={chosen.includes(piece.id)}
                    onChange={() => toggle(piece.id)}
                    aria-label={piece.label}
                  />
                  <PieceThumb piece={piece} size={72} />
                </label>
              </li>
            ))}
          </ul>
          <div className={css.putRow}>
            <Button
              variant="text"
              onClick={() =>
                setChosen(chosen.length === pieces.length ? [] : pieces.map((piece) => piece.id))
              }
            >
              {chosen.length === pieces.length ? 'None' : 'All'}
            </Button>
            <TextField
              select
              label="Shelf"
              value={shelf}
              onChange={(event) => setShelf(Number(event.target.value))}
              sx={{ width: 130 }}
            >
              {Array.from({ length: shelves }, (_, i) => shelves - i).map((n) => (
                <MenuItem key={n} value={n}>
                  {n === shelves ? `${n}, top` : n === 1 ? '1, bottom' : n}
                </MenuItem>
              ))}
            </TextField>
            <Button variant="contained" disabled={busy || chosen.length === 0} onClick={() => void put()}>
              {chosen.length ? `Put ${chosen.length} on shelf ${shelf}` : 'Choose pieces'}
            </Button>
          </div>
        </>
      )}
    </section>
  );
}
