'use client';
import Button from '@mui/material/Button';
import { counted, millimetres, sayQuantity } from '@/core/units';
import { Acts, NumberField, PageHeader, QuantityField } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { useUnits } from '@/ui/units';
import { usePersistedState } from '@/ui/usePersistedState';
import type { Round, RoundCell } from '@/records/rounds';
import css from './rounds.module.css';

const SHEET = { columns: 3, rows: 8, top: 12, left: 8, gap: 3 };

const COUNTS = [
  ['columns', 'Labels across'],
  ['rows', 'Labels down'],
] as const;
const LENGTHS = [
  ['top', 'Margin above and below'],
  ['left', 'Margin at the sides'],
  ['gap', 'Between labels'],
] as const;

/** The sheet the labels are printed on, drawn as it will come out, and the PDF of it. */
export function LabelsView({ round, cells }: { round: Round; cells: readonly RoundCell[] }) {
  const [sheet, setSheet] = usePersistedState('jiten.labels', SHEET);
  const count = cells.reduce((sum, cell) => sum + cell.pieces.length, 0);
  const pages = Math.ceil(count / (sheet.columns * sheet.rows));
  const query = new URLSearchParams(Object.entries(sheet).map(([key, value]) => [key, String(value)]));
  const width = (210 - 2 * sheet.left - (sheet.columns - 1) * sheet.gap) / sheet.columns;
  const height = (297 - 2 * sheet.top - (sheet.rows - 1) * sheet.gap) / sheet.rows;
  const units = useUnits();
  const each = [width, height].map((mm) => sayQuantity(millimetres(mm), units)).join(' × ');
  const fits = width >= 25 && height >= 14;
  return (
    <>
      <PageHeader first={`Round ${round.number}`}>
        <h1>Labels</h1>
        <Acts>
          <LinkButton href={`/rounds/${round.id}`}>The round</LinkButton>
          <Button
            variant="contained"
            component="a"
            href={`/api/v1/rounds/${round.id}/labels?${query}`}
            target="_blank"
            disabled={!fits}
          >
            PDF of {count} labels
          </Button>
        </Acts>
      </PageHeader>
      <div className={css.page}>
        <div className={css.stays} style={{ maxWidth: 300 }}>
          {COUNTS.map(([key, label]) => (
            <NumberField
              key={key}
              label={label}
              value={sheet[key]}
              onChange={(value) => value !== null && value >= 0 && setSheet({ ...sheet, [key]: value })}
            />
          ))}
          {LENGTHS.map(([key, label]) => (
            <QuantityField
              key={key}
              dimension="thickness"
              label={label}
              value={sheet[key]}
              onChange={(value) => value !== null && value >= 0 && setSheet({ ...sheet, [key]: value })}
            />
          ))}
          <p className={fits ? 'small quiet' : 'heat'} role="status">
            {fits
              ? `Each ${each}; ${counted(pages, 'sheet')} of A4.`
              : `Each would be ${each}: too small to read. Use fewer labels or smaller margins.`}
          </p>
          <p className="small">If a label is lost, search for the number under the foot.</p>
        </div>
        <svg
          viewBox="0 0 210 297"
          style={{ width: '100%', background: 'var(--paper)' }}
          role="img"
          aria-label="The sheet"
        >
          <rect width={210} height={297} fill="none" stroke="var(--hairline)" />
          {fits &&
            Array.from({ length: Math.min(count, sheet.columns * sheet.rows) }, (_, i) => {
              const x = sheet.left + (i % sheet.columns) * (width + sheet.gap);
              const y = sheet.top + Math.floor(i / sheet.columns) * (height + sheet.gap);
              return (
                <rect
                  key={i}
                  x={x}
                  y={y}
                  width={width}
                  height={height}
                  fill="none"
                  stroke="var(--quiet)"
                  strokeWidth={0.5}
                />
              );
            })}
        </svg>
      </div>
    </>
  );
}
