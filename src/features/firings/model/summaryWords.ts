import { counted, figures } from '@/core/units';
import { defectName, heatName, isCone } from '@/core/vocabulary';
import { shareWords } from '@/core/evidence';
import type { FiringSummary } from '@/records/openings';

/** How to get glaze to hold on ware that is glass-hard already, and what to mind at it. */
export const GLAZE_AGAIN = [
  'Fired ware takes up no water: lay several thin coats, with long drying between.',
  'Grip comes from a film of sprayed fixative on the cold piece, or from warming the piece first; never both: the spray burns. Spray away from heat and flame, with the air moving.',
] as const;

/** A firing as it is read out to the class, sentence by sentence. */
export function readOut(summary: FiringSummary): string[] {
  const { firing, pieces, unread, lost, sound, fates, defects, surprises, fresh } = summary;
  const lines = [
    `${firing.kilnName} ${firing.number}, ${firing.kind}, ${heatName(firing.cone)} in ${firing.atmosphere}.`,
    ...(firing.achievedCone !== null
      ? [`The cones say cone ${figures(firing.achievedCone, 1)}.`]
      : isCone(firing.cone)
        ? ['No witness cones were read.']
        : []),
    `${counted(pieces, 'piece')}${unread ? `, ${unread} still to be read` : ', all read'}${lost.length ? `; ${lost.map(({ label, state }) => `${label} ${state}`).join(', ')}` : ''}.`,
  ];
  if (sound.of > 0) lines.push(`Without a plain defect: ${shareWords(sound)}.`);
  if (fates.length) lines.push(`Fates: ${fates.map(({ fate, count }) => `${count} ${fate}`).join(', ')}.`);
  if (defects.length)
    lines.push(
      `Defects: ${defects.map(({ defect, pieces: { count } }) => `${defectName(defect)} on ${count}`).join(', ')}.`,
    );
  if (surprises[0])
    lines.push(
      `Biggest surprise: ${surprises[0].pieces.join(', ')}, ${surprises[0].headword}, ${surprises[0].words}.`,
    );
  if (fresh.length)
    lines.push(
      `New in the dictionary: ${fresh
        .slice(0, 8)
        .map(({ text }) => text)
        .join(', ')}${fresh.length > 8 ? ` and ${fresh.length - 8} more` : ''}.`,
    );
  return lines;
}
