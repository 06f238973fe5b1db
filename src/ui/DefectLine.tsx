import { defectName } from '@/core/vocabulary';
import { DefectGlyph } from './DefectGlyph';

const SEVERITY = ['', 'slight', '', 'spoils it'];

/** Defects as a line: glyph, word, how bad and where. */
export function DefectLine({
  defects,
}: {
  defects: readonly { readonly defect: string; readonly severity: number; readonly place: string }[];
}) {
  return (
    <span style={{ display: 'inline-flex', flexWrap: 'wrap', gap: '2px 12px', alignItems: 'center' }}>
      {defects.map(({ defect, severity, place }) => (
        <span key={defect + place} style={{ display: 'inline-flex', gap: 5, alignItems: 'center' }}>
          <DefectGlyph id={defect} size={20} labelled />
          <b>{defectName(defect)}</b>
          <span className="quiet">
            {[SEVERITY[severity], place === 'everywhere' ? '' : place].filter(Boolean).join(', ')}
          </span>
        </span>
      ))}
    </span>
  );
}
