'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import { targetWords } from '@/core/rounds';
import { ROUND_STEPS } from '@/core/vocabulary';
import type { Round, RoundCell } from '@/records/rounds';
import { Acts, FormErrors, PageHeader } from '@/ui/kit';
import { shortDay } from '@/core/time';
import { DefectGlyph } from '@/ui/DefectGlyph';
import { LinkButton } from '@/ui/LinkButton';
import { Said } from '@/ui/units';
import { Photo } from '@/ui/Photo';
import { useMutation } from '@/ui/useMutation';
import { noteGlazed } from '../actions';
import { isMoreThanDipped, layingWords } from '../model/laying';
import { partsOf, verdictsOf } from '../model/parts';
import { isLate, stepsOf, trendsOf } from '../model/progress';
import { Tray } from './Tray';
import { Bands } from './TrayCell';
import { Verdicts } from './Verdicts';
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
  const parts = partsOf(cells);
  const verdicts = verdictsOf(cells);
  const targets = [...new Map(cells.map((cell) => [targetWords(cell), cell])).values()];
  const steps = stepsOf(cells);
  const toGlaze = cells.filter((cell) =>
    cell.pieces.some((piece) => piece.step === 'made' || piece.step === 'bisqued'),
  );
  const late = isLate(round, steps, today);
  const trends = parts.flatMap(({ words, cells: own }) =>
    trendsOf(own).map((trend) => (words ? `${words}: ${trend.words}` : trend.words)),
  );
  const glaze = (some: readonly RoundCell[]) => run(() => noteGlazed({ cells: some.map((cell) => cell.id) }));
  return (
    <>
      <PageHeader first={`Round ${round.number}`}>
        <div>
          <h1>{round.name}</h1>
          <p className="quiet">
            Round {round.number}, {targets.map(targetWords).join(' and ')}, {round.twins} of each,{' '}
            {round.form}
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
          <div className={css.parts} data-many={parts.length > 1 || undefined}>
            {parts.map(({ words, cells: own }) => (
              <section key={own[0]!.id} aria-label={words || undefined}>
                {words && <h2>{words}</h2>}
                <Tray
                  cells={own}
                  rows={round.rows}
                  columns={round.columns}
                  shape={round.shape}
                  name={words ? `Tray, ${words}` : 'Tray'}
                >
                  {(cell) => (
                    <PlacedCell
                      cell={cell}
                      roomy={round.columns * Math.min(2, parts.length) <= ROOMY}
                      current={cell === chosen}
                      onChoose={() => setAt(cell.label)}
                    />
                  )}
                </Tray>
              </section>
            ))}
          </div>
          {verdicts.length > 0 && <Verdicts verdicts={verdicts} />}
          {trends.length > 0 && (
            <ul style={{ marginTop: 14 }} aria-label="Read along the rows">
              {trends.map((trend) => (
                <li key={trend}>
                  <b>{trend}</b>
                </li>
              ))}
            </ul>
          )}
        </div>
        {chosen && (
          <ChosenTest
            {...{ round, cells, chosen, hasParts: parts.length > 1, isBusy }}
            onGlaze={mayGlaze && toGlaze.includes(chosen) ? () => void glaze([chosen]) : null}
          />
        )}
      </div>
    </>
  );
}

interface ChosenProps {
  readonly round: Round;
  readonly cells: readonly RoundCell[];
  readonly chosen: RoundCell;
  readonly hasParts: boolean;
  readonly isBusy: boolean;
  /** Null where it is glazed, or may not be. */
  readonly onGlaze: (() => void) | null;
}

/** One test: its pieces, what they show, and the same test in the other parts of the round beside it. */
function ChosenTest({ round, cells, chosen, hasParts, isBusy, onGlaze }: ChosenProps) {
  return (
    <section className={css.chosen} aria-label="Chosen test">
      <h2>{chosen.label}</h2>
      <p>
        <b>{chosen.words}</b> {standsOn(chosen)}
      </p>
      {isMoreThanDipped(chosen.stack) && (
        <p className="small">
          <Said of={layingWords(chosen.stack, round)} />
        </p>
      )}
      <div className={css.beside}>
        {cells
          .filter((cell) => cell === chosen || isSamePlace(cell, chosen, hasParts))
          .flatMap(({ id, words, body, pieces, ...cell }) => {
            const shown = pieces.find((piece) => piece.photoHash);
            return shown?.photoHash
              ? [
                  <figure key={id}>
                    <Photo hash={shown.photoHash} alt={`${shown.label}, ${words}`} width={200} height={250} />
                    {hasParts && (
                      <figcaption className="small">
                        {[body, cell.texture, targetWords(cell)].filter(Boolean).join(', ')}
                      </figcaption>
                    )}
                  </figure>,
                ]
              : [];
          })}
      </div>
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
      {onGlaze && (
        <Button disabled={isBusy} onClick={onGlaze}>
          Mark {chosen.label} as glazed
        </Button>
      )}
      {chosen.mixture && (
        <p>
          <Link href={`/glazes/${chosen.mixture}`}>Its recipe and fit</Link>
        </p>
      )}
    </section>
  );
}

/** What a test stands on, as far as its words do not say it. */
function standsOn({ words, body, texture }: RoundCell): string {
  const on = words.includes(body) ? '' : `on ${body}`;
  return [on, texture].filter(Boolean).join(', ');
}

/** Whether it is the same place in another part of the round. */
function isSamePlace(cell: RoundCell, { row, column }: RoundCell, hasParts: boolean): boolean {
  return hasParts && cell.row === row && cell.column === column;
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
