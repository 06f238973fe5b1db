import { placeWords, sameStack, stackWords } from '@/core/coats';
import { deltaE00, labOf } from '@/core/colour';
import { text, type Message } from '@/core/units';
import { defectName, type Measures } from '@/core/vocabulary';
import type { FiredZone, PieceFiring, PiecePage } from '@/records/pieces';

/** One zone that is compared, with the piece and the firing it is of. */
export interface Compared {
  readonly piece: PiecePage;
  readonly firing: PieceFiring | null;
  readonly zone: FiredZone | null;
}

/** A line of the comparison; `done` lines are what was done, the others what came out. */
export interface ComparedRow {
  readonly name: string;
  readonly done: boolean;
  readonly values: readonly string[];
}

/**
 * The zones to compare, one a piece: the one asked for; else, of its last firing, the one with a stack that all
 * pieces have; else the thickest.
 *
 * @param asked ids of zones in the order of the pieces, of whatever firing; empty where none is asked for
 */
export function zonesToCompare(pieces: readonly PiecePage[], asked: readonly string[]): Compared[] {
  const last = pieces.map(
    ({ firings }, i) =>
      firings.find(({ zones }) => zones.some(({ id }) => id === asked[i])) ??
      firings.findLast(({ zones }) => zones.length > 0) ??
      null,
  );
  const everywhere = (zone: FiredZone) =>
    last.every((firing) => firing?.zones.some(({ stack }) => sameStack(stack, zone.stack)));
  const shared = last[0]?.zones.filter((zone) => zone.stack.length > 0 && everywhere(zone)) ?? [];
  const common = shared.reduce<FiredZone | null>(
    (most, zone) => (most && most.to - most.from >= zone.to - zone.from ? most : zone),
    null,
  );
  return pieces.map((piece, i) => {
    const zones = last[i]?.zones ?? [];
    const zone =
      zones.find(({ id }) => id === asked[i]) ??
      (common && zones.find(({ stack }) => sameStack(stack, common.stack))) ??
      zones.reduce<FiredZone | null>((most, one) => (most && dips(most) >= dips(one) ? most : one), null);
    return { piece, firing: last[i]!, zone };
  });
}

function dips({ stack }: FiredZone): number {
  return stack.reduce((sum, { times }) => sum + times, 0);
}

function live(zone: FiredZone | null) {
  return zone?.readings.find((one) => !one.ended) ?? null;
}

/** The colour of a zone: picked by somebody, or measured. */
export function colourOf(zone: FiredZone | null): string | null {
  return live(zone)?.colour ?? zone?.colour ?? null;
}

/** All lines of a comparison. */
export function rowsOf(all: readonly Compared[]): ComparedRow[] {
  const names = new Map(
    all.flatMap(({ piece }) => piece.coats.map((coat) => [coat.glazeId, coat.glazeName] as const)),
  );
  const nameOf = (id: string) => names.get(id) ?? '?';
  const done = (name: string, value: (one: Compared) => string): ComparedRow => ({
    name,
    done: true,
    values: all.map(value),
  });
  const seen = (name: string, value: (one: Compared) => string): ComparedRow => ({
    name,
    done: false,
    values: all.map(value),
  });
  const coats = ({ piece, zone }: Compared) =>
    piece.coats.filter((coat) => zone?.stack.some(({ glaze }) => glaze === coat.glazeId));
  const first = colourOf(all[0]?.zone ?? null);
  return [
    done('Glazes', ({ zone }) => (zone ? stackWords(zone.stack, nameOf) : 'not fired')),
    done('Ground', ({ zone, piece }) => zone?.ground ?? piece.body),
    done('Form', ({ piece }) => piece.form),
    done('Recipe versions', (one) =>
      [...new Set(coats(one).map(({ versionId }) => versionId))].sort().join(' '),
    ),
    done('Seconds', (one) =>
      coats(one)
        .map(({ seconds }) => (seconds === null ? 'not noted' : `${seconds} s`))
        .join(', '),
    ),
    done('Firing', ({ firing }) => (firing ? `${firing.kiln} ${firing.number}` : 'not fired')),
    done('Cone', ({ firing }) => firing?.cone ?? ''),
    done('Cone reached', ({ firing }) => firing?.achievedCone?.toFixed(1) ?? 'not known'),
    done('Atmosphere', ({ firing }) => firing?.atmosphere ?? ''),
    done('Shelf', ({ firing }) => String(firing?.shelf ?? '')),
    seen('Surface', ({ zone }) => live(zone)?.surface ?? 'not noted'),
    seen('Movement', ({ zone }) => live(zone)?.movement ?? 'not noted'),
    seen(
      'Defects',
      ({ zone }) =>
        live(zone)
          ?.defects.map((one) => defectName(one.defect))
          .sort()
          .join(', ') || 'none',
    ),
    seen('Colour, difference from the first', ({ zone }) => {
      const colour = colourOf(zone);
      return colour && first ? deltaE00(labOf(first), labOf(colour)).toFixed(1) : 'not measured';
    }),
    seen('Fate', ({ piece }) => piece.fate ?? 'none'),
  ];
}

/** What differs with another thing, and is no thing of its own then. */
const GOES_WITH: Readonly<Record<string, readonly string[]>> = {
  Firing: ['Cone', 'Cone reached', 'Atmosphere', 'Shelf'],
  Glazes: ['Recipe versions', 'Seconds'],
};

/** Colours nearer than this look alike (CIEDE2000). */
const ALIKE = 3;

/**
 * Whether one thing only was done differently, and so explains what came out differently, as far as was written
 * down. A firing is one thing, with its cone, atmosphere and shelf.
 */
export function explained(rows: readonly ComparedRow[]): string {
  const isOther = ({ name, values }: ComparedRow) =>
    name.startsWith('Colour') ? values.some((value) => Number(value) > ALIKE) : new Set(values).size > 1;
  const done = rows.filter((row) => row.done && isOther(row)).map(({ name }) => name);
  const own = done.filter((name) => !done.some((other) => GOES_WITH[other]?.includes(name)));
  const out = rows.filter((row) => !row.done && row.name !== 'Fate' && isOther(row));
  const list = (names: readonly string[]) => names.map((name) => name.toLowerCase()).join(', ');
  if (rows[0]!.values.length < 2) return '';
  if (out.length === 0)
    return own.length
      ? `They came out alike, though these differ: ${list(own)}.`
      : 'They came out alike, and nothing noted differs.';
  const what = list(out.map(({ name }) => name.split(',')[0]!));
  if (own.length === 0)
    return `No difference in how they were made was noted, yet these differ: ${what}. Chance, or something nobody noted.`;
  if (own.length === 1)
    return `Only one thing was done differently, the ${list(own)}: as far as was noted, it explains the difference (${what}).`;
  return `More than one thing differs (${list(own)}), so the cause of the difference (${what}) is open.`;
}

/** The choice of zones of a piece, in words. */
export function zoneWords(zone: FiredZone, piece: Measures): Message {
  return text`${zone.headword}, ${zone.side === 'outside' ? '' : `${zone.side}, `}${placeWords(zone, piece)}`;
}
