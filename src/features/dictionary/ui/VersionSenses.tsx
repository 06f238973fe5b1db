import { hexOf } from '@/core/colour';
import { describe } from '@/core/evidence';
import { UseVersion } from '@/features/glazes';
import type { VersionSense } from '@/records/dictionary';
import css from './entry.module.css';

/** What a sense shows by recipe version, side by side, those in use first; another is chosen with one tap. */
export function VersionSenses({
  versions,
  mayChoose,
}: {
  versions: readonly VersionSense[];
  mayChoose: boolean;
}) {
  if (versions.length === 0) return null;
  return (
    <ul className={css.versions} aria-label="By recipe version">
      {versions.map(({ made, isInUse, choice, summary }) => {
        const { look, proved, defects } = describe(summary, summary.colour && hexOf(summary.colour));
        return (
          <li key={made} data-in-use={isInUse || undefined}>
            <p>
              <b>{made}</b>
              {isInUse && <span className="quiet">, in use</span>}
            </p>
            <p>{look}</p>
            <p className="small">Defects: {defects}</p>
            <p className="small">{proved}</p>
            {choice && mayChoose && (
              <UseVersion glazeId={choice.glazeId} versionId={choice.versionId} words={choice.words} />
            )}
          </li>
        );
      })}
    </ul>
  );
}
