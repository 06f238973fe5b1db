'use client';
import { Fold } from '@/ui/Fold';
import { figures } from '@/core/units';
import {
  bandOf,
  bodyFigure,
  COAT_THICKNESS,
  crazesFrom,
  reachOf,
  SHIVER_LIMIT,
  TOUGHNESS,
  verdictWords,
  type BodyFigure,
  type Calibration,
  type FitBand,
} from '@/core/fit';
import type { UnknownPart } from '@/core/chemistry';
import type { StudioTile } from '@/records/materials';
import Link from 'next/link';
import { NumberField, TitleRow } from '@/ui/kit';
import { FitMark, FitMarkLegend } from '@/ui/FitMark';
import { UnknownNote } from './UnknownNote';
import css from './glaze.module.css';

/** A clay as the fit of a glaze on it needs it. */
export interface ClayFit {
  readonly id: string;
  readonly name: string;
  /** From its sheet, 1e-6/K; null when not known. */
  readonly measured: number | null;
  readonly calibration: Calibration | null;
  readonly tiles: readonly StudioTile[];
}

/** The figure a clay is judged by. */
export function figureOf(clay: ClayFit): BodyFigure | null {
  return bodyFigure(clay.measured, clay.calibration);
}

const SCALE = [-3.5, 2.5] as const;
const W = 560;
const H = 64;
const x = (mismatch: number) =>
  ((Math.min(SCALE[1], Math.max(SCALE[0], mismatch)) - SCALE[0]) / (SCALE[1] - SCALE[0])) * W;

interface Props {
  readonly glazeId: string;
  /** Null without a recipe with a flux, or when too much of it is unknown. */
  readonly expansion: number | null;
  readonly unknown: UnknownPart;
  readonly clays: readonly ClayFit[];
  readonly thicknessMm: number;
  readonly onThickness: (mm: number) => void;
}

/** The glaze on every clay: a ruler from compression to tension, the band of the calculation, and the real tiles. */
export function FitRulers({ glazeId, expansion, unknown, clays, thicknessMm, onThickness }: Props) {
  return (
    <section className={css.fit} id="fit" aria-labelledby="fit-title">
      <TitleRow>
        <h2 id="fit-title">Fit</h2>
        <NumberField
          label="Fired thickness, mm"
          value={thicknessMm}
          onChange={(mm) => mm !== null && mm > 0 && mm <= 10 && onThickness(mm)}
          sx={{ maxWidth: 180 }}
        />
        <p className="small quiet">
          One dip is about {COAT_THICKNESS.dipped.fired} mm, a brushed coat {COAT_THICKNESS.brushed.fired} mm
          (estimates).
        </p>
      </TitleRow>
      <UnknownNote unknown={unknown} />
      {expansion === null ? (
        <p>
          {unknown.materials.length > 0
            ? 'Too much of the recipe is unknown to judge its fit.'
            : 'Add a recipe with a flux to see its fit on every clay.'}
        </p>
      ) : (
        <ul>
          {clays.map((clay) => (
            <ClayRow key={clay.id} {...{ clay, expansion, thicknessMm, glazeId }} />
          ))}
        </ul>
      )}
      <p className={css.legend}>
        <FitMarkLegend />
        <span className="quiet">
          bold: this glaze; thin: others, adjusted to the thickness above and to their age
        </span>
      </p>
    </section>
  );
}

function ClayRow({
  clay,
  expansion,
  thicknessMm,
  glazeId,
}: {
  clay: ClayFit;
  expansion: number;
  thicknessMm: number;
  glazeId: string;
}) {
  const figure = figureOf(clay);
  const name = <Link href={`/clays/${clay.id}`}>{clay.name}</Link>;
  if (!figure) {
    return (
      <li>
        <div>
          <b className={css.clay}>{name}</b>
          <p className="small quiet">
            Expansion not known. {clay.calibration && !clay.calibration.enough && clay.calibration.why}
          </p>
        </div>
      </li>
    );
  }
  const band = bandOf(
    { glazeExpansion: expansion, bodyExpansion: figure.expansion, thicknessMm },
    figure.miss,
  );
  const own = clay.tiles.filter((tile) => tile.glaze === glazeId);
  const count = (crazed: boolean) =>
    own.filter((tile) => tile.crazed === crazed).reduce((sum, tile) => sum + tile.count, 0);
  return (
    <li>
      <div>
        <b className={css.clay}>{name}</b>
        <p className="small quiet">{figureWords(clay, figure)}</p>
      </div>
      <Ruler {...{ clay, figure, band, thicknessMm, glazeId }} />
      <div>
        <p>
          <FitVerdict band={band} /> <span className="figures">{signed(band.mismatch)}</span>
        </p>
        <p className="small quiet">{verdictWords(band, figure, glazeId)}</p>
        {own.length > 0 && (
          <p className="small">
            This glaze on your tiles, zone by zone: {count(true)} crazed, {count(false)} sound so far.
          </p>
        )}
        <Fold title="Why">
          <p className="small">
            Glaze {figures(expansion, 2)} less clay {figures(figure.expansion, 2)} is a{' '}
            {band.mismatch > 0 ? 'tension' : 'compression'} of {Math.abs(band.stressMPa).toFixed(0)} MPa.{' '}
            {band.criticalMm === null
              ? 'A glaze in compression does not craze.'
              : `Crazes at once above ${mm(band.criticalMm)} fired, in the long run above ${mm(band.delayedMm!)}.`}{' '}
            The band is ± {figures(figure.miss, 2)}.
          </p>
        </Fold>
      </div>
    </li>
  );
}

const signed = (n: number) => `${n > 0 ? '+' : n < 0 ? '−' : ''}${figures(Math.abs(n), 2)}`;
const mm = (n: number) => (n > 5 ? 'any thickness' : `${figures(n, 2)} mm`);

function figureWords(clay: ClayFit, figure: BodyFigure): string {
  const learned = clay.calibration?.enough ? clay.calibration.limit : null;
  if (!learned) return `${figures(figure.expansion, 2)}, from its data sheet`;
  const shift =
    figure.shift === null
      ? ''
      : `; ${signed(figure.shift)} against its data sheet of ${figures(clay.measured, 2)}`;
  return `${figures(learned.value, 2)} learned from ${learned.tiles} tiles (${figures(learned.low, 2)} to ${figures(learned.high, 2)})${shift}`;
}

/** The verdict as a word in its own weight; never colour alone. */
export function FitVerdict({ band }: { band: FitBand }) {
  return (
    <b className={band.verdict === 'fits' ? 'good' : 'heat'}>
      {band.verdict}
      {!band.sure && <span aria-label=", not sure"> ?</span>}
    </b>
  );
}

function Ruler({
  clay,
  figure,
  band,
  thicknessMm,
  glazeId,
}: {
  clay: ClayFit;
  figure: BodyFigure;
  band: FitBand;
  thicknessMm: number;
  glazeId: string;
}) {
  const atOnce = crazesFrom(thicknessMm, TOUGHNESS.atOnce);
  const later = crazesFrom(thicknessMm, TOUGHNESS.slowly);
  const marks = [...clay.tiles].sort((a, b) => Number(a.glaze === glazeId) - Number(b.glaze === glazeId));
  const words = `${clay.name}: mismatch ${signed(band.mismatch)}, ${band.verdict}; shivering side below ${SHIVER_LIMIT}, crazes later above ${figures(later, 2)}, at once above ${figures(atOnce, 2)}`;
  return (
    <svg viewBox={`-4 0 ${W + 8} ${H}`} className={css.ruler} role="img" aria-label={words}>
      <line x1={0} x2={W} y1={34} y2={34} stroke="var(--ink)" strokeWidth={1.5} />
      {[SHIVER_LIMIT, later, atOnce].map((edge) => (
        <line
          key={edge}
          x1={x(edge)}
          x2={x(edge)}
          y1={8}
          y2={46}
          stroke="var(--quiet)"
          strokeDasharray="3 3"
        />
      ))}
      <line x1={x(0)} x2={x(0)} y1={29} y2={39} stroke="var(--ink)" strokeWidth={1.5} />
      <line
        x1={x(band.mismatch - band.miss)}
        x2={x(band.mismatch + band.miss)}
        y1={34}
        y2={34}
        stroke="var(--accent)"
        strokeWidth={9}
      />
      <path d={`M${x(band.mismatch)} 24v20`} stroke="var(--ink)" strokeWidth={3} />
      {marks.map((tile, i) => {
        const at = x(reachOf(tile) - figure.expansion + atOnce);
        const own = tile.glaze === glazeId;
        return (
          <g key={i} transform={`translate(${at} ${tile.crazed ? 10 : 22})`} opacity={own ? 1 : 0.75}>
            <title>{`${tile.example}${tile.count > 1 ? ` and ${tile.count - 1} more` : ''}, ${tile.crazed ? 'crazed' : 'sound so far'}`}</title>
            <FitMark crazed={tile.crazed} bold={own} />
          </g>
        );
      })}
      {[
        [SCALE[0] + (SHIVER_LIMIT - SCALE[0]) / 2, 'may shiver'],
        [(SHIVER_LIMIT + later) / 2, 'fits'],
        [(later + atOnce) / 2, 'later'],
        [(atOnce + SCALE[1]) / 2, 'crazes'],
      ].map(([at, word]) => (
        <text key={word} x={x(Number(at))} y={60} textAnchor="middle" className={css.tick}>
          {word}
        </text>
      ))}
    </svg>
  );
}
