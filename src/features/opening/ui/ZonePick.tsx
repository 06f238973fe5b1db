'use client';
import { Said } from '@/ui/units';
import { whereWords, rimFirst } from '@/core/coats';
import { colourWords } from '@/core/evidence';
import { defectName } from '@/core/vocabulary';
import type { OpeningPiece, OpeningZone } from '@/records/openings';
import { countWords } from '@/ui/countWords';
import { Swatch } from '@/ui/Swatch';
import css from './opening.module.css';

interface Props {
  readonly piece: OpeningPiece;
  /** null: taps are about the whole piece. */
  readonly chosen: OpeningZone | null;
  readonly onChoose: (zone: OpeningZone | null) => void;
}

/** The zones of a piece, rim first and bare clay last, each with what the dictionary expects of it. */
export function ZonePick({ piece, chosen, onChoose }: Props) {
  return (
    <div className={css.zones} role="group" aria-label="Zones">
      {piece.zones.length > 1 && (
        <button type="button" aria-pressed={chosen === null} onClick={() => onChoose(null)}>
          <b>Whole piece</b>
        </button>
      )}
      {glazedFirst(piece.zones).map((zone) => (
        <button
          key={zone.id}
          type="button"
          aria-pressed={zone.id === chosen?.id || piece.zones.length === 1}
          data-bare={zone.stack.length === 0 || undefined}
          onClick={() => onChoose(zone)}
        >
          <span className={css.zoneWords}>
            <b>{zone.headword}</b>
            <span>
              <Said of={whereWords(zone, piece)} />
              {zone.stack.length > 0 && `: ${onRecord(zone, piece.state === 'read')}`}
            </span>
            {zone.counts.map((count) => (
              <span key={count.id} className="figures">
                {countWords(count)}
              </span>
            ))}
          </span>
          {zone.stack.length > 0 && (zone.expectedSwatch ?? zone.expectedColour) && (
            <Swatch
              hash={zone.expectedSwatch}
              colour={zone.expectedColour}
              width={44}
              height={44}
              alt={`Proof of ${zone.headword}`}
            />
          )}
        </button>
      ))}
    </div>
  );
}

/** Rim first; bare clay is seldom what is read, and comes last. */
function glazedFirst(zones: readonly OpeningZone[]): OpeningZone[] {
  const bare = ({ stack }: OpeningZone) => Number(stack.length === 0);
  return rimFirst(zones).sort((a, b) => bare(a) - bare(b));
}

/** What the proofs so far promise, in a line; no promise once the piece itself may be among them. */
function onRecord({ expected, expectedColour }: OpeningZone, wasRead: boolean): string {
  if (!expected || expected.proofs === 0) return 'new';
  const defects = expected.defects.map(
    (one) => `${defectName(one.defect)} ${one.count} of ${expected.proofs}`,
  );
  const look = [expected.surface, expectedColour && colourWords(expectedColour)].filter(Boolean).join(' ');
  return `${wasRead ? 'on record' : 'expect'} ${[...(look ? [look] : []), ...(defects.length ? defects : [`sound ${expected.proofs} of ${expected.proofs}`])].join(', ')}`;
}
