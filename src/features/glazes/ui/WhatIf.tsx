'use client';
import { figures } from '@/core/units';
import { Choice, DataTable, NumberField, TitleRow, ToggleRow } from '@/ui/kit';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import type { Line, MaterialBook, UnknownPart } from '@/core/chemistry';
import {
  ALKALI_MOVES,
  crazingLadder,
  LADDER_COSTS,
  moveAlkali,
  swapMaterial,
  type Against,
  type AlkaliMove,
  type Reworked,
} from '@/core/recipe';
import { PerKelvin } from '@/ui/Oxide';
import { figureOf, FitVerdict, type ClayFit } from './FitRulers';
import { UnknownNote } from './UnknownNote';
import css from './glaze.module.css';

interface Props {
  readonly lines: readonly Line[];
  readonly book: MaterialBook;
  readonly clays: readonly ClayFit[];
  readonly thicknessMm: number;
  readonly unknown: UnknownPart;
  /** False when too much of it is unknown to calculate with. */
  readonly isPlaced: boolean;
  /** Puts a recipe into the editor. */
  readonly onTake: (lines: readonly Line[], note: string) => void;
}

const KINDS = ['Crazing ladder', 'Swap a material', 'Replace soda and potash'] as const;

/** What would change if: the recipe moved on purpose, with chemistry, verdict and price of each move beside it. */
export function WhatIf({ lines, book, clays, thicknessMm, unknown, isPlaced, onTake }: Props) {
  const [kind, setKind] = useState<(typeof KINDS)[number]>('Crazing ladder');
  const judged = clays.flatMap((clay) => {
    const figure = figureOf(clay);
    return figure ? [{ clay, against: { figure, thicknessMm } }] : [];
  });
  const shared = {
    lines,
    book,
    names: judged.map(({ clay }) => clay.name),
    bodies: judged.map(({ against }) => against),
    onTake,
  };
  return (
    <section className={css.whatIf} id="what-if" aria-labelledby="what-if-title">
      <TitleRow>
        <h2 id="what-if-title">What if</h2>
        <ToggleRow
          label="Kind of change"
          options={KINDS.map((one) => [one, one] as const)}
          value={kind}
          onChange={setKind}
        />
      </TitleRow>
      <UnknownNote unknown={unknown} />
      {lines.length === 0 ? (
        <p>Type a recipe first.</p>
      ) : !isPlaced ? (
        <p>Too much of the recipe is unknown to calculate what a change would do.</p>
      ) : kind === 'Crazing ladder' ? (
        <Ladder {...shared} />
      ) : kind === 'Swap a material' ? (
        <Swap {...shared} />
      ) : (
        <Alkali {...shared} />
      )}
    </section>
  );
}

interface Shared {
  readonly lines: readonly Line[];
  readonly book: MaterialBook;
  readonly names: readonly string[];
  readonly bodies: readonly Against[];
  readonly onTake: Props['onTake'];
}

function Ladder({ lines, book, names, bodies, onTake }: Shared) {
  const ladder = useMemo(() => crazingLadder(lines, bodies, { book }), [lines, bodies, book]);
  const stuck = names.filter(
    (_, i) => ladder.reaches[i] === null && ladder.rungs[0]!.fits[i]?.verdict.startsWith('crazes'),
  );
  return (
    <>
      <p>
        Silica and kaolin in equal steps change this glaze’s expansion by{' '}
        <b className="figures">{figures(ladder.movesBy, 2)}</b> <PerKelvin /> in all, and a gloss stays a
        gloss.{' '}
        {stuck.length > 0 && (
          <b className="heat">
            That is not enough to fit {stuck.join(' and ')}: replace soda and potash instead.
          </b>
        )}
      </p>
      <DataTable
        label="Crazing ladder"
        columns={[
          { name: 'Step', isHead: true },
          { name: '+ silica', align: 'right' },
          { name: '+ kaolin', align: 'right' },
          { name: 'silica : alumina', align: 'right' },
          { name: 'map' },
          { name: 'expansion', align: 'right' },
          ...names.map((name) => ({ name })),
          { name: '' },
        ]}
        rows={ladder.rungs.map((rung, i) => ({
          key: String(i),
          cells: [
            i === 0 ? 'unchanged' : i,
            rung.silica ? `${figures(rung.silica, 2)} %` : '',
            rung.kaolin ? `${figures(rung.kaolin, 2)} %` : '',
            figures(rung.analysis.silicaAlumina, 2),
            rung.analysis.mapField,
            figures(rung.analysis.expansion.appen, 2),
            ...rung.fits.map((fit, k) => (fit ? <FitVerdict key={k} band={fit} /> : '–')),
            i > 0 && (
              <Button key="use" size="small" onClick={() => onTake(rung.lines, `Crazing ladder, step ${i}`)}>
                Use step {i}
              </Button>
            ),
          ],
        }))}
      />
      <p className="small quiet">{LADDER_COSTS.join(' ')} A thinner coat only hides a poor fit.</p>
    </>
  );
}

function Swap(shared: Shared) {
  const { lines, book, bodies } = shared;
  const base = [...new Set(lines.filter((line) => !line.addition).map((line) => line.material))];
  const [from, setFrom] = useState<string | null>(null);
  const [to, setTo] = useState<string | null>(null);
  const out = from !== null && base.includes(from) ? from : (base[0] ?? null);
  const others = book.materials.map((material) => material.name).filter((name) => !base.includes(name));
  const outcome = useMemo(
    () => (out && to ? attempt(() => swapMaterial(lines, out, [to], bodies, book)) : null),
    [lines, out, to, bodies, book],
  );
  return (
    <>
      <div className={css.fields}>
        <Choice label="Take out" options={base} value={out} onChange={setFrom} />
        <Choice label="Put in" options={others} value={to} onChange={setTo} none="choose" />
        <p className="small quiet">The rest is adjusted so that the unity formula stays the same.</p>
      </div>
      {outcome && <Outcome {...shared} outcome={outcome} note={`${to} for ${out}`} />}
    </>
  );
}

function Alkali(shared: Shared) {
  const { lines, book, bodies } = shared;
  const [to, setTo] = useState<AlkaliMove>('boron');
  const [percent, setPercent] = useState<number | null>(25);
  const outcome = useMemo(
    () => (percent ? attempt(() => moveAlkali(lines, to, percent / 100, bodies, book)) : null),
    [lines, to, percent, bodies, book],
  );
  return (
    <>
      <div className={css.fields}>
        <NumberField
          label="Soda and potash replaced, %"
          value={percent}
          onChange={setPercent}
          error={percent !== null && (percent <= 0 || percent > 100) ? 'Above 0, at most 100.' : undefined}
        />
        <Choice label="By" options={ALKALI_MOVES} value={to} onChange={(next) => setTo(next ?? 'boron')} />
        <p className="small quiet">
          Mole for mole; a recipe is found from what is in it and the usual sources.
        </p>
      </div>
      {outcome && <Outcome {...shared} outcome={outcome} note={`${percent} % of the alkalis to ${to}`} />}
    </>
  );
}

/** A rework, or in words why there is none. */
function attempt(work: () => Reworked): Reworked | string {
  try {
    return work();
  } catch (error) {
    return (error as Error).message;
  }
}

/** Misses above this share of what was wanted are said aloud. */
const PLAIN_MISS = 0.05;

function Outcome({ outcome, names, note, onTake }: Shared & { outcome: Reworked | string; note: string }) {
  if (typeof outcome === 'string') return <p className="heat">Not possible: {outcome}.</p>;
  const { analysis, lines, worst, costs } = outcome;
  const misses = Object.entries(outcome.miss).filter(([, n]) => Math.abs(n) > 0.02);
  return (
    <div className={css.outcome}>
      <DataTable
        label="Resulting recipe"
        hasHeadings={false}
        columns={[{ name: 'Material' }, { name: 'Percent', align: 'right' }]}
        rows={lines.map((line) => ({
          key: `${line.addition}${line.material}`,
          cells: [`${line.addition ? '+ ' : ''}${line.material}`, figures(line.amount, 2)],
        }))}
      />
      <div>
        <p>
          Expansion <b className="figures">{figures(analysis.expansion.appen, 2)}</b>, {analysis.mapField},
          silica : alumina <span className="figures">{figures(analysis.silicaAlumina, 2)}</span>
        </p>
        <dl className={css.verdicts}>
          {names.map((name, i) => (
            <div key={name}>
              <dt>{name}</dt>
              <dd>{outcome.fits[i] ? <FitVerdict band={outcome.fits[i]} /> : '–'}</dd>
            </div>
          ))}
        </dl>
        <p className={worst > PLAIN_MISS ? 'heat' : 'small quiet'}>
          {worst > PLAIN_MISS
            ? `The formula is missed: ${misses.map(([oxide, n]) => `${oxide} by ${figures(n, 2)}`).join(', ')}.`
            : `The formula is met within ${figures(worst * 100, 1)} %.`}
        </p>
        {costs.length > 0 && (
          <>
            <h3>What else changes</h3>
            <ul>
              {costs.map((cost) => (
                <li key={cost}>{cost}</li>
              ))}
            </ul>
          </>
        )}
        <Button onClick={() => onTake(lines, note)}>Use this recipe</Button>
      </div>
    </div>
  );
}
