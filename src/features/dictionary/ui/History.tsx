import { counted, figures } from '@/core/units';
import { DataTable } from '@/ui/kit';
import type { Proof } from '@/records/dictionary';
import { shortDay } from '@/core/time';
import { Swatch } from '@/ui/Swatch';
import css from './entry.module.css';
import { historyOf } from '../model/history';

/** How a sense came out through recipe versions and batches; an older version's result says so. */
export function History({ proofs, colour }: { proofs: readonly Proof[]; colour: string | null }) {
  const chapters = historyOf(proofs, colour);
  if (chapters.length < 2) return null;
  return (
    <details className={css.history}>
      <summary>
        {chapters.length} batches and versions
        {chapters.some(({ counts }) => !counts) && ', older ones among them'}
      </summary>
      <DataTable
        label="Batches and versions"
        hasHeadings={false}
        columns={[{ name: '' }, { name: 'Batch' }, { name: 'Pieces' }, { name: 'Colour difference' }]}
        rows={chapters.map((one) => ({
          key: one.made,
          cells: [
            <Swatch key="swatch" hash={null} colour={one.colour} width={26} height={26} />,
            <span key="made">
              {one.made || 'not noted'}
              {!one.counts && <b> (not counted)</b>}
            </span>,
            `${counted(one.pieces, 'piece')}, last ${shortDay(one.last)}`,
            <span key="away" className="figures">
              {one.away === null ? '' : `colour difference ${figures(one.away, 1)}`}
            </span>,
          ],
        }))}
      />
    </details>
  );
}
