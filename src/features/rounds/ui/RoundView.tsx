'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import { ROUND_STEPS } from '@/core/vocabulary';
import type { Round, RoundCell } from '@/records/rounds';
import { Acts, FormErrors, PageHeader } from '@/ui/kit';
import { shortDay } from '@/core/time';
import { DefectGlyph } from '@/ui/DefectGlyph';
import { LinkButton } from '@/ui/LinkButton';
import { Photo } from '@/ui/Photo';
import { useMutation } from '@/ui/useMutation';
import { noteGlazed } from '../actions';
import { isLate, stepsOf, trendsOf } from '../model/progress';
import { Tray } from './Tray';
import { Bands } from './TrayCell';
import css from './rounds.module.css';

interface Props {
  readonly round: Round;
  readonly cells: readonly RoundCell[];
  readonly mayGlaze: boolean;
  /** "YYYY-MM-DD" */
  readonly today: string;
}

/** One round: the tray as it was planned, each place with its photo once fired, and what can be read along it. */
export function RoundView({ round, cells, mayGlaze, today }: Props) {
  const [at, setAt] = useState(cells[0]?.label ?? '');
  const { run, isBusy, errors } = useMutation();
  const chosen = cells.find((cell) => cell.label === at) ?? cells[0];
  const steps = stepsOf(cells);
  const toGlaze = cells.filter((cell) =>
    cell.pieces.some((piece) => piece.step === 'made' || piece.step === 'bisqued'),
  );
  const late = isLate(round, steps, today);
  const trends = trendsOf(cells);
  const glaze = (some: readonly RoundCell[]) => run(() => noteGlazed({ cells: some.map((cell) => cell.id) }));
  return (
    <>
      <PageHeader first={`Round ${round.number}`}>
        <div>
          <h1>{round.name}</h1>
          <p className="quiet">
            Round {round.number}, cone {round.cone}, {round.atmosphere}, {round.twins} of each
            {round.dueOn && (
              <>
                , <span className={late ? 'heat' : undefined}>{late ? 'late, needed by' : 'needed by'}</span>{' '}
                {shortDay(round.dueOn)}
              </>
            )}
          </p>
        </div>
        <Acts>
          <LinkButton href={`/rounds/${round.id}/bench`}>Bench sheet</LinkButton>
          <LinkButton href={`/rounds/${round.id}/labels`}>Labels</LinkButton>
          {mayGlaze && toGlaze.length > 0 && (
            <Button variant="contained" disabled={isBusy} onClick={() => void glaze(toGlaze)}>
              Mark all as glazed
            </Button>
          )}
        </Acts>
      </PageHeader>
      <FormErrors errors={errors} />
      <dl className={css.steps} aria-label="How far the pieces are">
        {ROUND_STEPS.map((step) => (
          <div key={step}>
            <dt className="small quiet">{step}</dt>
            <dd className="figures">{steps[step] ?? 0}</dd>
          </div>
        ))}
      </dl>
      <div className={css.page}>
        <div>
          <Tray cells={cells} rows={round.rows} columns={round.columns} shape={round.shape} name="Tray">
            {(cell) => (
              <PlacedCell
                cell={cell}
                roomy={round.columns <= ROOMY}
                current={cell === chosen}
                onChoose={() => setAt(cell.label)}
              />
            )}
          </Tray>
          {trends.length > 0 && (
            <ul style={{ marginTop: 14 }} aria-label="Read along the rows">
              {trends.map((trend) => (
                <li key={trend.words}>
                  <b>{trend.words}</b>
                </li>
              ))}
            </ul>
          )}
        </div>
        {chosen && (
          <section className={css.chosen} aria-label="Chosen test">
            <h2>{chosen.label}</h2>
            <p>
              <b>{chosen.words}</b> on {chosen.body}
            </p>
            {chosen.pieces[0]?.photoHash && (
              <Photo
                hash={chosen.pieces[0].photoHash}
                alt={`${chosen.pieces[0].label}, ${chosen.words}`}
                width={200}
                height={250}
              />
            )}
            <ul>
              {chosen.pieces.map((piece) => (
                <li key={piece.id}>
                  <Link href={`/pieces/${piece.label}`} className="figures">
                    {piece.label}
                  </Link>{' '}
                  {[
                    piece.step,
                    piece.surface,
                    piece.movement,
                    ...piece.defects.map((one) => one.defect),
                    piece.fate,
                  ]
                    .filter(Boolean)
                    .join(', ')}
                </li>
              ))}
            </ul>
            {mayGlaze && toGlaze.includes(chosen) && (
              <Button disabled={isBusy} onClick={() => void glaze([chosen])}>
                Mark {chosen.label} as glazed
              </Button>
            )}
            {chosen.stack.length === 1 && chosen.recipe && (
              <p>
                <Link href={`/glazes/${chosen.stack[0]!.glaze}`}>Its recipe and fit</Link>
              </p>
            )}
          </section>
        )}
      </div>
    </>
  );
}

/** Up to so many columns a place has room for its words. */
const ROOMY = 6;

interface PlacedProps {
  readonly cell: RoundCell;
  readonly roomy: boolean;
  readonly current: boolean;
  readonly onChoose: () => void;
}

function PlacedCell({ cell, roomy, current, onChoose }: PlacedProps) {
  const shown = cell.pieces.find((piece) => piece.photoHash);
  const worst = cell.pieces.flatMap((piece) => piece.defects).sort((a, b) => b.severity - a.severity)[0];
  const step = cell.pieces[0]?.step ?? 'made';
  const words = `${cell.label}: ${cell.words}, ${worst ? worst.defect : step}`;
  return (
    <button
      type="button"
      className={css.cell}
      aria-current={current}
      aria-label={words}
      title={words}
      onClick={onChoose}
      onFocus={onChoose}
    >
      {shown ? (
        <img
          src={`/api/v1/photos/${shown.photoHash}?width=320`}
          alt=""
          loading="lazy"
          style={{ objectFit: 'cover' }}
        />
      ) : (
        <Bands
          layers={cell.stack.map(({ colour, times }) => ({ colour, part: times }))}
          faint={step === 'made' || step === 'bisqued'}
        />
      )}
      {roomy && !shown && <span className={css.says}>{cell.words}</span>}
      {worst && (
        <span className={css.glyph}>
          <DefectGlyph id={worst.defect} size={15} />
        </span>
      )}
      <b>{cell.label}</b>
    </button>
  );
}
