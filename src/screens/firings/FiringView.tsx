'use client';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useState } from 'react';
import { ulid } from 'ulid';
import type { FiringState } from '@/core/firing';
import type { Firing } from '@/records/firings';
import type { Kiln } from '@/records/kilns';
import type { FiringLog } from '@/records/live';
import type { OpeningPiece } from '@/records/openings';
import type { PieceRow } from '@/records/piecePages';
import type { Programme } from '@/records/programmes';
import type { ShelfCone } from '@/records/witness';
import { shortDay } from '@/ui/dates';
import { Faults } from '@/ui/Faults';
import { Flame } from '@/ui/Flame';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { PieceThumb } from '@/ui/PieceThumb';
import { useAct } from '@/ui/useAct';
import { endFiring, startFiring } from '../firingLog/actions';
import { FiringLogView } from '../firingLog/FiringLogView';
import { load, unload } from './actions';
import { FiringForm } from './FiringForm';
import css from './firings.module.css';

interface Props {
  readonly firing: Firing;
  readonly kilns: readonly Kiln[];
  readonly pieces: readonly OpeningPiece[];
  readonly waiting: readonly PieceRow[];
  readonly programmes: readonly Programme[];
  readonly log: FiringLog;
  readonly cones: readonly ShelfCone[];
  readonly rate: number;
  readonly mayPlan: boolean;
}

const CAUTIONS: Readonly<Partial<Record<FiringState, string>>> = {
  loading:
    'Kiln wash dry, witness cones in, nothing touching the elements; ventilation on. Gas: carbon monoxide detector on. Lines, flues and wiring are for licensed people and local codes.',
  firing:
    'Spyholes only through a shade for infrared. Gas off at the cock, or supply switched off, at the end.',
  cooling:
    'No cracking above 200 °C, and slow through 573 and 225 °C. Supply off before the lid goes up; gloves above 50 °C.',
};

/** One firing: its plan, its load by shelf, and the next step. */
export function FiringView({ firing, kilns, pieces, waiting, programmes, log, cones, rate, mayPlan }: Props) {
  const { act, busy, faults } = useAct();
  const [editing, setEditing] = useState(false);
  const kiln = kilns.find((one) => one.id === firing.kilnId)!;
  const caution = CAUTIONS[firing.state];
  const empty = pieces.length === 0;
  const start = (by: 'controller' | 'hand') =>
    void act(() => startFiring({ firingId: firing.id, sourceId: ulid(), by }));
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
          programmes={programmes}
          version={firing.version}
          onSaved={() => setEditing(false)}
          values={{
            id: firing.id,
            kilnId: firing.kilnId,
            kind: firing.kind,
            cone: firing.cone as '6',
            atmosphere: firing.atmosphere,
            plannedOn: firing.plannedOn,
            startsAt: firing.startsAt,
            programmeId: firing.programmeId,
            segments: firing.segments ? [...firing.segments] : null,
            programme: firing.programme,
            remarks: firing.remarks,
          }}
        />
      )}
      <div className={css.columns}>
        <aside className={css.margin}>
          {caution && (
            <>
              <h3>{firing.state === 'cooling' ? 'Cooling' : 'Next'}</h3>
              <p className="small">{caution}</p>
              {mayPlan && firing.state === 'firing' && (
                <Button
                  variant="contained"
                  disabled={busy}
                  onClick={() => void act(() => endFiring({ firingId: firing.id }))}
                  fullWidth
                >
                  The firing has ended
                </Button>
              )}
              {mayPlan && firing.state === 'loading' && (
                <>
                  {kiln.controller && firing.segments && (
                    <Button
                      variant="contained"
                      disabled={busy || empty}
                      onClick={() => start('controller')}
                      fullWidth
                    >
                      Start by controller
                    </Button>
                  )}
                  <Button
                    variant={kiln.controller && firing.segments ? 'outlined' : 'contained'}
                    disabled={busy || empty}
                    onClick={() => start('hand')}
                    fullWidth
                  >
                    {kiln.controller ? 'Started by hand' : 'Start the firing'}
                  </Button>
                </>
              )}
            </>
          )}
          {(firing.state === 'cooling' || firing.state === 'open' || firing.state === 'closed') && (
            <LinkButton
              variant={firing.state === 'open' || log.open?.reached ? 'contained' : 'outlined'}
              href={`/firings/${firing.id}/opening`}
              fullWidth
            >
              {firing.state === 'closed'
                ? 'Look through it again'
                : firing.state === 'open'
                  ? 'Go on opening'
                  : 'Open the kiln'}
            </LinkButton>
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
          {firing.state !== 'loading' && (
            <FiringLogView {...{ firing, kiln, log, cones, rate }} mayWrite={mayPlan} />
          )}
          <h2 className={css.heading} style={{ marginTop: firing.state === 'loading' ? 0 : 28 }}>
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
