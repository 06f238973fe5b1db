import { whereWords, sameStack, stackWords } from '@/core/coats';
import { paletteDifference, paletteFrom, type Palette } from '@/core/colour';
import { text, type Message, figures } from '@/core/units';
import { heatShort, defectName, type Measures } from '@/core/vocabulary';
import { textureWords } from './textureWords';
import { formWord } from '@/features/shared/pieceWords';
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
 * pieces have; else the one with a headword that all have; else the thickest.
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
  const shared = (alike: (one: FiredZone, other: FiredZone) => boolean): FiredZone | null => {
    const everywhere = (zone: FiredZone) =>
      last.every((firing) => firing?.zones.some((other) => alike(zone, other)));
    const own = last[0]?.zones.filter((zone) => zone.stack.length > 0 && everywhere(zone)) ?? [];
    return own.reduce<FiredZone | null>(
      (most, zone) => (most && most.to - most.from >= zone.to - zone.from ? most : zone),
      null,
    );
  };
  const likeStack = (one: FiredZone, other: FiredZone) => sameStack(one.stack, other.stack);
  const likeHeadword = (one: FiredZone, other: FiredZone) => one.headwordId === other.headwordId;
  const common = shared(likeStack);
  const named = shared(likeHeadword);
  return pieces.map((piece, i) => {
    const zones = last[i]?.zones ?? [];
    const zone =
      zones.find(({ id }) => id === asked[i]) ??
      (common && zones.find((one) => likeStack(one, common))) ??
      (named && zones.find((one) => likeHeadword(one, named))) ??
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

/** All that is known of the colours of a zone. */
export function paletteOf(zone: FiredZone | null): Palette | null {
  return zone && paletteFrom(zone.shades, zone.colour, live(zone)?.colour ?? null);
}

const NOT_NOTED = 'not noted';
const NOT_KNOWN = 'not known';

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
  const first = paletteOf(all[0]?.zone ?? null);
  return [
    done('Glazes', ({ zone }) => (zone ? stackWords(zone.stack, nameOf) : 'not fired')),
    done('Ground', ({ zone, piece }) => zone?.ground ?? (piece.isDescribed ? piece.body : '')),
    done('Form', ({ piece }) => formWord(piece)),
    done('Texture', ({ piece }) => textureWords(piece) || NOT_NOTED),
    done('Recipe versions', (one) =>
      [...new Set(coats(one).map(({ versionId }) => versionId))].sort().join(' '),
    ),
    done('Seconds', (one) =>
      coats(one)
        .map(({ seconds }) => (seconds === null ? NOT_NOTED : `${seconds} s`))
        .join(', '),
    ),
    done('Coat below', (one) =>
      coats(one)
        .slice(1)
        .map(({ dryBefore }) => (dryBefore === null ? NOT_NOTED : dryBefore ? 'dry' : 'wet'))
        .join(', '),
    ),
    done('Firing', ({ firing }) => (firing ? `${firing.kiln} ${firing.number}` : 'not fired')),
    done('Cone', ({ firing }) => (firing ? heatShort(firing.cone) : '')),
    done('Cone reached', ({ firing }) => figures(firing?.achievedCone, 1, NOT_KNOWN)),
    done('Atmosphere', ({ firing }) => firing?.atmosphere ?? ''),
    done('Shelf', ({ firing }) => String(firing?.shelf ?? '')),
    seen('Surface', ({ zone }) => live(zone)?.surface ?? NOT_NOTED),
    seen('Movement', ({ zone }) => live(zone)?.movement ?? NOT_NOTED),
    seen(
      'Defects',
      ({ zone }) =>
        live(zone)
          ?.defects.map((one) => defectName(one.defect))
          .sort()
          .join(', ') || 'none',
    ),
    seen('Colour, difference from the first', ({ zone }) => {
      const own = paletteOf(zone);
      return own && first ? figures(paletteDifference(first, own), 1) : 'not measured';
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

/** Whether what is known of a line differs; what nobody noted is no difference. */
function isOther({ name, values }: ComparedRow): boolean {
  if (name.startsWith('Colour')) return values.some((value) => Number(value) > ALIKE);
  return new Set(values.filter((value) => !value.includes(NOT_NOTED) && value !== NOT_KNOWN)).size > 1;
}

/**
 * Whether one thing only was done differently, and so explains what came out differently, as far as was written
 * down. A firing is one thing, with its cone, atmosphere and shelf. The shelf is varied on purpose when pieces are
 * spread over a kiln, and counts only when it is asked for.
 */
export function explained(rows: readonly ComparedRow[], { countsShelf = false } = {}): string {
  const done = rows
    .filter((row) => row.done && isOther(row) && (countsShelf || row.name !== 'Shelf'))
    .map(({ name }) => name);
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
  return text`${zone.headword}, ${whereWords(zone, piece)}`;
}
