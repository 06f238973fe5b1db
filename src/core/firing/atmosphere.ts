import { reductionByProbe, type ProbeReading } from './probe';
import type { Atmosphere, AtmosphereReached, Fullness, EventKind } from '../vocabulary';

/** What speaks about the atmosphere that a firing reached. */
export interface AtmosphereFacts {
  readonly meant: Atmosphere;
  /** What was logged, in order; `note` says how heavy a reduction was, or what a draw ring showed. */
  readonly events: readonly { readonly kind: EventKind; readonly minutes: number; readonly note: string }[];
  /** From the start to the end of the firing; null when not known. */
  readonly minutes: number | null;
  /** Null when nobody said. */
  readonly fullness: Fullness | null;
  /** What an oxygen probe logged up to the end of the climb, in order; empty without one. */
  readonly probe: readonly ProbeReading[];
  /** Pieces by the glaze on top of them, and how many of those came out of another colour than they should. */
  readonly glazes: readonly { readonly pieces: number; readonly shifted: number }[];
}

/** What the atmosphere probably came to, with what says so. A person decides. */
export interface AtmosphereSuggestion {
  readonly reached: AtmosphereReached;
  readonly because: readonly string[];
}

/** A reduction shorter than this is a weak one, minutes (judgement). */
const SHORT = 45;
/** So many pieces of so many glazes off their colour are the kiln's doing, not a glaze's (judgement). */
const SHIFTED = { pieces: 3, glazes: 2 };

const BY_RING: Readonly<Record<string, AtmosphereReached>> = {
  none: 'oxidised',
  light: 'weak',
  medium: 'as meant',
  heavy: 'heavy',
};

/**
 * Suggests what the atmosphere of a reduction firing came to. The last draw ring decides, then an oxygen probe; without
 * either a late, light or
 * short reduction, a part-empty kiln and the colours of several glazes speak for a weak one. Colours of one glaze alone
 * never do: its own proofs would set themselves apart. What speaks is common practice, no source.
 *
 * @returns null when nothing speaks, or when no reduction was meant
 */
export function suggestAtmosphere(facts: AtmosphereFacts): AtmosphereSuggestion | null {
  if (facts.meant !== 'reduction') return null;
  const ring = facts.events.findLast(({ kind }) => kind === 'draw ring');
  const said = ring && BY_RING[ring.note];
  if (said)
    return {
      reached: said,
      because: [`the last draw ring showed ${ring.note === 'none' ? 'no' : ring.note} reduction`],
    };
  const probe = probeSaid(facts);
  if (probe) return probe;
  const weak = [...reductionLogged(facts), ...kilnAndColours(facts)];
  if (weak.length) return { reached: 'weak', because: weak };
  const start = facts.events.findLast(({ kind }) => kind === 'reduction starts');
  return start
    ? { reached: 'as meant', because: [`${start.note ? `${start.note} reduction` : 'reduction'} was logged`] }
    : null;
}

function probeSaid({ events, probe }: AtmosphereFacts): AtmosphereSuggestion | null {
  const from = events.find(({ kind }) => kind === 'reduction starts')?.minutes ?? 0;
  const to = events.findLast(({ kind }) => kind === 'reduction ends')?.minutes ?? Infinity;
  const said = reductionByProbe(probe, from, to);
  return said && { reached: said.reached, because: [`the probe stood at ${Math.round(said.millivolts)} mV`] };
}

function reductionLogged({ events, minutes }: AtmosphereFacts): string[] {
  const starts = events.filter(({ kind }) => kind === 'reduction starts');
  if (starts.length === 0)
    return events.some(({ kind }) => kind !== 'note') ? ['nobody logged that a reduction started'] : [];
  const ended = events.findLast(({ kind }) => kind === 'reduction ends')?.minutes ?? minutes;
  const length = ended === null ? null : ended - starts[0]!.minutes;
  return [
    ...(starts.every(({ note }) => note === 'light') ? ['only light reduction was logged'] : []),
    ...(length !== null && length < SHORT
      ? [`the reduction lasted ${Math.max(0, Math.round(length))} minutes`]
      : []),
  ];
}

function kilnAndColours({ fullness, glazes }: AtmosphereFacts): string[] {
  const off = glazes.filter(({ shifted }) => shifted > 0);
  const pieces = off.reduce((sum, { shifted }) => sum + shifted, 0);
  const all = glazes.reduce((sum, one) => sum + one.pieces, 0);
  const isOff = pieces >= SHIFTED.pieces && off.length >= SHIFTED.glazes;
  return [
    ...(fullness === 'quarter' || fullness === 'half'
      ? [
          `the kiln was ${fullness === 'half' ? 'half full' : 'a quarter full'}, and a part-empty one reduces less`,
        ]
      : []),
    ...(isOff ? [`${pieces} of ${all} pieces, of ${off.length} glazes, came out of another colour`] : []),
  ];
}
