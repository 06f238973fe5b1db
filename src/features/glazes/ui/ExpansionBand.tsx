import { Fold } from '@/ui/Fold';
import { figures, shortFigures } from '@/core/units';
import { DataTable } from '@/ui/kit';
import {
  EXPANSION_SETS,
  FACTOR_MISS,
  expansionParts,
  type AnalysisResult,
  type ExpansionSet,
} from '@/core/chemistry';
import { OxideName, PerKelvin } from '@/ui/Oxide';
import css from './glaze.module.css';

const SETS = Object.keys(EXPANSION_SETS) as ExpansionSet[];
const SCALE = [3, 11] as const;
const WIDTH = 400;
const x = (value: number) =>
  ((Math.min(SCALE[1], Math.max(SCALE[0], value)) - SCALE[0]) / (SCALE[1] - SCALE[0])) * WIDTH;

/** Expansion by the three sets on one scale: Appen as the band it is, the others as marks; and how each is reached. */
export function ExpansionBand({ analysis }: { analysis: AnalysisResult }) {
  const { expansion } = analysis;
  if (expansion.appen === null) return null;
  const words = SETS.map((set) => `${EXPANSION_SETS[set].name} ${figures(expansion[set], 2)}`).join(', ');
  return (
    <section className={css.expansion} aria-label="Expansion">
      <p>
        Expansion <b className={css.big}>{figures(expansion.appen, 2)}</b>{' '}
        <span className="figures">± {shortFigures(FACTOR_MISS)}</span> <PerKelvin />{' '}
        <span className="quiet">(Appen)</span>
      </p>
      <svg viewBox={`-14 0 ${WIDTH + 28} 62`} role="img" aria-label={`${words}, 1e-6/K`}>
        <line x1={0} x2={WIDTH} y1={30} y2={30} stroke="var(--ink)" />
        {Array.from({ length: SCALE[1] - SCALE[0] + 1 }, (_, i) => SCALE[0] + i).map((tick) => (
          <g key={tick}>
            <line x1={x(tick)} x2={x(tick)} y1={26} y2={34} stroke="var(--ink)" />
            <text x={x(tick)} y={48} textAnchor="middle" className={css.tick}>
              {tick}
            </text>
          </g>
        ))}
        <line
          x1={x(expansion.appen - FACTOR_MISS)}
          x2={x(expansion.appen + FACTOR_MISS)}
          y1={30}
          y2={30}
          stroke="var(--accent)"
          strokeWidth={8}
        />
        <path d={`M${x(expansion.appen)} 18v24`} stroke="var(--ink)" strokeWidth={2.5} />
        {(['winkelmannSchott', 'englishTurner'] as const).map((set, i) => (
          <g key={set}>
            <path d={`M${x(expansion[set]!)} 22v16`} stroke="var(--quiet)" strokeWidth={2} />
            <text x={x(expansion[set]!)} y={i ? 60 : 14} textAnchor="middle" className={css.tick}>
              {EXPANSION_SETS[set].name}
            </text>
          </g>
        ))}
      </svg>
      <Fold title="Why these numbers">
        {SETS.map((set) => (
          <SetParts key={set} set={set} analysis={analysis} />
        ))}
        {analysis.warnings.length > 0 && (
          <ul className={css.warnings}>
            {analysis.warnings.map((warning) => (
              <li key={warning}>{warning}</li>
            ))}
          </ul>
        )}
      </Fold>
    </section>
  );
}

function SetParts({ set, analysis }: { set: ExpansionSet; analysis: AnalysisResult }) {
  const { name, range, source } = EXPANSION_SETS[set];
  const mole = set === 'appen';
  const parts = expansionParts(set, mole ? analysis.molePercent : analysis.weightPercent);
  return (
    <DataTable
      label={`${name} expansion, oxide by oxide`}
      caption={
        <>
          <b>
            {name}: {figures(analysis.expansion[set], 2)}
          </b>{' '}
          {range}. {source}.
        </>
      }
      columns={[
        { name: 'Oxide' },
        { name: mole ? 'mole %' : 'weight %', align: 'right' },
        { name: 'factor', align: 'right' },
        { name: 'adds', align: 'right' },
      ]}
      rows={parts.map((part) => ({
        key: part.oxide,
        cells: [
          <OxideName key="oxide" oxide={part.oxide} />,
          figures(part.share, 2),
          part.factor === null ? 'none' : figures(part.factor, 3),
          figures(part.adds, 2),
        ],
      }))}
    />
  );
}
