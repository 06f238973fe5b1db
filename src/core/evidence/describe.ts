import { millimetres, text, type Message } from '../units';
import { labOf } from '../colour';
import type { Agreement } from './agreement';
import { PLAIN_SEVERITY, defectName } from '../vocabulary';

/** A dictionary description in plain words. */
export interface Description {
  /** For example "Satin, pale warm grey." */
  readonly look: string;
  readonly moves: Message;
  /** For example "pitting 3 of 4". */
  readonly defects: string;
  readonly proved: string;
}

/**
 * Says in plain words what the proofs of an entry show.
 *
 * @param colour "#rrggbb" of the middle proof, or null
 * @example describe(agreement, '#e0d8c8').look // 'Satin, pale cream.'
 */
export function describe(agreement: Agreement, colour: string | null): Description {
  const { proofs, defects, surface, movement } = agreement;
  const words = [surface, colour && colourWords(colour)].filter(Boolean).join(', ');
  return {
    look: words ? `${words[0]!.toUpperCase()}${words.slice(1)}.` : 'Not described yet.',
    moves: movementWords(movement),
    defects: defects.length
      ? defects.map((d) => `${defectName(d.defect)} ${d.count} of ${proofs}`).join(', ')
      : proofs
        ? `none in ${proofs}`
        : agreement.divided.length
          ? 'counted neither way: see the pieces below'
          : 'not looked for',
    proved: provedWords(agreement),
  };
}

/** What a movement means at the bench, with the distance to keep. */
export function movementWords(movement: string | null): Message {
  if (movement === 'stable') return 'stays where it is put';
  if (movement === 'moves') return text`moves: leave ${millimetres(10)} bare at the foot`;
  if (movement === 'runs') return 'runs: keep off the lower third, use a cookie';
  return 'not noted';
}

function provedWords({ proofs, agreeing, firings, divided }: Agreement): string {
  if (proofs === 0) return divided.length ? 'no piece that agrees with itself' : 'not proved yet';
  if (proofs === 1) return 'one piece only: repeat before you trust it';
  const pieces = agreeing === proofs ? `${proofs} pieces agree` : `${agreeing} of ${proofs} pieces agree`;
  return firings === 1 ? `${pieces}, all of one firing: not yet repeatable` : `${pieces}, ${firings} firings`;
}

/** What one zone shows, in a few words. @example showsWords({ surface: 'gloss', defects: [] }) // 'gloss, sound' */
export function showsWords({
  surface,
  defects,
}: {
  readonly surface: string | null;
  readonly defects: readonly { readonly defect: string; readonly severity: number }[];
}): string {
  const plain = defects
    .filter(({ severity }) => severity >= PLAIN_SEVERITY)
    .map(({ defect }) => defectName(defect));
  return [surface, plain.length ? plain.join(' and ') : 'sound'].filter(Boolean).join(', ');
}

const HUES: readonly (readonly [number, string])[] = [
  [20, 'pink'],
  [45, 'red'],
  [65, 'rust'],
  [85, 'amber'],
  [105, 'yellow'],
  [125, 'olive'],
  [165, 'green'],
  [205, 'blue-green'],
  [245, 'turquoise blue'],
  [308, 'blue'],
  [328, 'violet'],
  [345, 'plum'],
  [361, 'pink'],
];

/**
 * A colour in studio words: lightness, then hue, or a neutral.
 *
 * @param hex "#rrggbb"
 * @example colourWords('#21409a') // 'dark blue'
 */
export function colourWords(hex: string): string {
  const { l, a, b } = labOf(hex);
  const chroma = Math.hypot(a, b);
  const hue = ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
  if (chroma < 5)
    return l > 85 ? 'white' : l > 62 ? 'pale grey' : l > 35 ? 'grey' : l > 22 ? 'dark grey' : 'black';
  if (chroma < 16 && hue > 30 && hue < 110) {
    return l > 80
      ? 'cream'
      : l > 62
        ? 'pale warm grey'
        : l > 40
          ? 'warm grey-brown'
          : l > 22
            ? 'dark brown'
            : 'brown-black';
  }
  const tone = l > 75 ? 'pale ' : l < 25 ? 'very dark ' : l < 42 ? 'dark ' : '';
  const grey = chroma < 16 ? 'greyed ' : '';
  const name = HUES.find(([end]) => hue < end)![1];
  // Pink is a pale red: dark ones are called by their hue.
  const dark = name === 'pink' && l < 60;
  return `${tone}${grey}${dark ? (hue < 180 ? 'red' : 'plum') : name}`;
}
