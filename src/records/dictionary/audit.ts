import type { WrittenArea } from '@/core/coats';
import type { CoatCover } from '@/core/vocabulary';
import { paletteDifference, paletteFrom, type Palette } from '@/core/colour';
import { shadesOf } from '@/records/platform/shades';
import { fromJson, type Db } from '@/records/platform/db';
import type { CoatRow, EntryRow, FiringRow, GlazeRow, ReadingRow, ZoneRow } from '@/records/platform/tables';

/** What the audit found. */
export interface Audit {
  readonly zones: number;
  readonly entries: number;
  /** Each in words; none when the dictionary says what pieces and readings say. */
  readonly differences: readonly string[];
}

/**
 * Counts the dictionary again, straight from coats, firings and readings, in the plainest way and without the code that
 * counts it otherwise, and compares: where each zone is filed, and for each entry its pieces, firings, divided pieces,
 * defects and agreeing pieces. The rules are those of docs/evidence.md.
 */
export async function auditDictionary(base: Db): Promise<Audit> {
  const studio = await readStudio(base);
  const differences: string[] = [];
  const looks = new Map<string, Look[]>();
  for (const zone of studio.zones) {
    const filed = fileAgain(studio, zone);
    const entry = zone.entry_id === null ? null : studio.entries.get(zone.entry_id)!;
    const label = studio.labels.get(zone.piece_id)!;
    const isDescribed = studio.described.has(zone.piece_id);
    const should = isDescribed ? filed.words : 'in no entry';
    const is = entry ? entryWords(studio, entry) : 'in no entry';
    if (should !== is)
      differences.push(
        `${label}, ${zone.area ?? zone.side} ${zone.from} to ${zone.to}: filed as ${is}, should be ${should}`,
      );
    const reading = studio.readings.get(zone.id);
    if (!entry || !reading) continue;
    looks.set(entry.id, [...(looks.get(entry.id) ?? []), { zone, reading, ...filed }]);
  }
  for (const entry of studio.entries.values()) {
    const is = figuresOf(entry);
    const should = countAgain(studio, looks.get(entry.id) ?? []);
    for (const [name, value] of Object.entries(should))
      if (value !== null && is[name as keyof Figures] !== value)
        differences.push(
          `${entryWords(studio, entry)}: ${name} ${is[name as keyof Figures]}, should be ${value}`,
        );
  }
  return { zones: studio.zones.length, entries: studio.entries.size, differences };
}

type Studio = Awaited<ReturnType<typeof readStudio>>;

function grouped<R>(rows: readonly R[], key: (row: R) => string): Map<string, R[]> {
  const groups = new Map<string, R[]>();
  for (const row of rows) {
    const group = groups.get(key(row));
    if (group) group.push(row);
    else groups.set(key(row), [row]);
  }
  return groups;
}

const placeOf = (zone: ZoneRow) => `${zone.piece_id} ${zone.firing_id}`;

/** Everything that is counted from, as it stands in the tables. */
async function readStudio(base: Db) {
  const zones: ZoneRow[] = await base('zone')
    .whereNull('ended_at')
    .orderBy(['piece_id', 'firing_id', 'from']);
  const coats: CoatRow[] = await base('coat').whereNull('ended_at').orderBy(['piece_id', 'position']);
  const readings: ReadingRow[] = await base('reading').whereNull('ended_at').where({ stage: 'after' });
  const pieces = await base('piece').select('id', 'label', 'body_id', 'described', 'areas');
  const inFirings = await base('firing_piece as fp')
    .join('firing as f', 'f.id', 'fp.firing_id')
    .orderBy(['fp.at', 'f.planned_on', 'f.number'])
    .select<{ piece_id: string; firing_id: string }[]>('fp.piece_id', 'fp.firing_id');
  const wanted = new Map(
    (
      await base('reading as r')
        .join('piece as p', 'p.id', 'r.piece_id')
        .select<{ id: string; wanted: string }[]>('r.id', 'p.wanted')
    ).map(({ id, wanted: list }) => [id, fromJson<string[]>(list)]),
  );
  const defects = (await base('reading_defect').where('severity', '>=', 2)).filter(
    ({ reading_id, defect }) => !wanted.get(reading_id)!.includes(defect),
  );
  const byId = <R extends { readonly id: string }>(rows: readonly R[]) =>
    new Map(rows.map((row) => [row.id, row] as const));
  return {
    zones,
    together: grouped(zones, placeOf),
    coats: grouped(coats, (coat) => coat.piece_id),
    readings: new Map(readings.map((reading) => [reading.zone_id, reading] as const)),
    defects: grouped(defects, (row) => row.reading_id),
    areas: new Map(pieces.map(({ id, areas }) => [id, fromJson<readonly WrittenArea[]>(areas)])),
    labels: new Map(pieces.map(({ id, label }) => [id, label])),
    bodies: new Map(pieces.map(({ id, body_id }) => [id, body_id])),
    described: new Set(pieces.filter(({ described }) => described).map(({ id }) => id)),
    inFirings: grouped(inFirings, (row) => row.piece_id),
    firings: byId<FiringRow>(await base('firing')),
    glazes: byId<GlazeRow>(await base('glaze')),
    grounds: byId(await base('ground')),
    entries: byId<EntryRow>(await base('entry')),
    inUse: new Set((await base('glaze').select('in_use_id')).map(({ in_use_id }) => in_use_id)),
  };
}

/** A zone that was read, and where it belongs. */
interface Look {
  readonly zone: ZoneRow;
  readonly reading: ReadingRow;
  /** The firing that made it what it is. */
  readonly madeBy: string;
  readonly versions: readonly string[];
}

/** 6 for cone 6, 5.5 for 5½, 0 for 01, −1 for 02; NaN for a firing without a cone. */
function heatOf(cone: string): number {
  const half = cone.endsWith('½') ? 0.5 : 0;
  const number = Number(cone.replace('½', ''));
  return cone.startsWith('0') ? 1 - number - half : number + half;
}

const COOL = heatOf('014');

/** How much of its stretch a coat takes at a height: '' all, null none of it. */
function coverAt({ from, to, cover }: CoatRow, height: number): string | null {
  if (!(from < height && to > height)) return null;
  const said = fromJson<CoatCover | null>(cover);
  if (said?.kind === 'pattern') return 'partly';
  if (said?.kind === 'fade') return 'fading';
  const rise = said?.rise ?? 0;
  return (from > 0 && height < from + rise) || (to < 1 && height > to - rise) ? 'partly' : '';
}

type CoatThere = CoatRow & { readonly there: string };

/** The coats at the middle of a zone that stayed there, in order. */
function coatsAt(studio: Studio, zone: ZoneRow, fired: readonly string[]): CoatThere[] {
  const area =
    zone.area === null ? null : studio.areas.get(zone.piece_id)!.find(({ name }) => name === zone.area)!;
  // The whole of an area is kept as 0 to 1, wherever it lies on its side.
  const isWhole = area !== null && zone.from === 0 && zone.to === 1;
  const middle = isWhole ? (area.from + area.to) / 2 : (zone.from + zone.to) / 2;
  const lies = (coat: CoatRow, { area: name, side }: ZoneRow) => {
    const isHalf = side === 'left' || side === 'right';
    const onSide = coat.side === side || (coat.side === 'outside' && isHalf);
    if (name === null) return coat.area === null && onSide;
    if (coat.area !== null) return coat.area === name;
    return area!.side !== null && onSide && !fromJson<string[]>(coat.not_areas).includes(name);
  };
  const waxed = new Map<string, string>();
  return (studio.coats.get(zone.piece_id) ?? []).flatMap((coat) => {
    const there = coverAt(coat, middle);
    if (there === null || !lies(coat, zone) || !coat.firing_id || !fired.includes(coat.firing_id)) return [];
    const wax = waxed.get(coat.firing_id);
    if (studio.glazes.get(coat.glaze_id)!.kind === 'resist') {
      if (wax !== '') waxed.set(coat.firing_id, there);
      return [];
    }
    if (wax === '') return [];
    return { ...coat, there: wax === undefined ? there : 'partly' };
  });
}

function fileAgain(studio: Studio, zone: ZoneRow) {
  const all = studio.inFirings.get(zone.piece_id)!.map(({ firing_id }) => firing_id);
  const fired = all.slice(0, all.indexOf(zone.firing_id) + 1);
  const glazed = fired.filter((id) => studio.firings.get(id)!.kind !== 'bisque');
  const firings = glazed.length ? glazed : fired.slice(-1);
  const at = (coat: CoatRow) => Math.max(0, firings.indexOf(coat.firing_id!));
  const row = (i: number) => {
    const firing = studio.firings.get(firings[i]!)!;
    return { cone: firing.filed_cone ?? firing.cone, atmosphere: firing.atmosphere };
  };
  const isHot = firings.map((_, i) => !(heatOf(row(i).cone) <= COOL));
  const noneHot = !isHot.includes(true);
  const own = coatsAt(studio, zone, fired);
  const close = studio.together
    .get(placeOf(zone))!
    .filter((other) => other.id === zone.id || touches(zone, other));
  const firedOn = new Set(close.flatMap((other) => coatsAt(studio, other, fired).map(at)));
  const history = firings.map((_, i) => i).filter((i) => noneHot || isHot[i] || firedOn.has(i));
  const last = Math.max(0, ...own.map(at).filter((i) => noneHot || isHot[i]));
  let by = history.find((i) => i >= last)!;
  for (const i of history.filter((step) => step >= last)) {
    const more = heatOf(row(i).cone) - heatOf(row(by).cone);
    if (Number.isNaN(more) ? isHot[i] : more >= 0) by = i;
  }
  const layers: string[][] = [];
  for (const coat of own) {
    const glaze = studio.glazes.get(coat.glaze_id)!;
    const when = String(Math.max(0, history.indexOf(at(coat))));
    const words = [glaze.name, coat.method, `${coat.wiped ? 'wiped' : ''}${coat.there}`, when];
    const below = layers.at(-1);
    if (below && words.every((word, i) => word === below[i]))
      below[4] = String(Number(below[4]) + coat.times);
    else layers.push([...words, String(coat.times), glaze.kind === 'slip' ? `slip ${coat.clay ?? ''}` : '']);
  }
  const isGround = (layer: readonly string[]) => layer[5] !== '' && layer[3] === '0' && layer[2] === '';
  const top = layers.findIndex((layer) => !isGround(layer));
  const slips = top === -1 ? [] : layers.slice(0, top);
  return {
    words: said({
      ground: [clayOf(studio, zone), ...slips.map(([name]) => name!)],
      layers: layers.slice(slips.length).map((layer) => layer.join(' ')),
      row: row(by),
      history: history.map(row),
    }),
    madeBy: firings[by]!,
    versions: [...new Set(own.map((coat) => coat.glaze_version_id))],
  };
}

/** The clay of a zone: of its area, where that is of another one. */
function clayOf(studio: Studio, { piece_id, area }: ZoneRow): string {
  const own = studio.areas.get(piece_id)!.find(({ name }) => name === area)?.bodyId;
  return own ?? studio.bodies.get(piece_id)!;
}

function touches(one: ZoneRow, other: ZoneRow): boolean {
  if (one.area !== other.area) return false;
  if (one.side === other.side) return one.from === other.to || one.to === other.from;
  const sides = [one.side, other.side].sort().join();
  return sides === 'left,right' && one.from < other.to && other.from < one.to;
}

interface Filed {
  readonly ground: readonly string[];
  readonly layers: readonly string[];
  readonly row: { readonly cone: string; readonly atmosphere: string };
  readonly history: readonly Filed['row'][];
}

function said({ ground, layers, row, history }: Filed): string {
  const rows =
    history.length > 1 ? ` (${history.map((one) => `${one.cone} ${one.atmosphere}`).join(', ')})` : '';
  return `[${layers.join(' | ') || 'bare'}] on [${ground.join(' | ')}], ${row.cone} ${row.atmosphere}${rows}`;
}

const METHODS: Readonly<Record<string, string>> = {
  ...{ dipped: 'dip', poured: 'pour', brushed: 'brush', sprayed: 'spray' },
  ...{ trailed: 'trail', sponged: 'sponge', inlaid: 'inlay' },
  ...{ scattered: 'scatter', dusted: 'dust', applied: 'apply' },
};

/** What an entry claims, in the words of {@link fileAgain}. */
function entryWords(studio: Studio, entry: EntryRow): string {
  const nameOf = (id: string) => studio.glazes.get(id)!.name;
  const stack = fromJson<
    {
      glaze: string;
      way: string;
      times: number;
      mark?: string;
      cover?: string;
      firing?: number;
      slip?: boolean;
      clay?: string;
    }[]
  >(entry.stack);
  const ground = studio.grounds.get(entry.ground_id)!;
  return said({
    ground: [ground.body_id, ...fromJson<string[]>(ground.slips).map(nameOf)],
    layers: stack.map((layer) =>
      [
        ...[nameOf(layer.glaze), METHODS[layer.way], `${layer.mark ?? ''}${layer.cover ?? ''}`],
        ...[layer.firing ?? 0, layer.times],
        layer.slip ? `slip ${layer.clay ?? ''}` : '',
      ].join(' '),
    ),
    row: entry,
    history: fromJson<Filed['row'][]>(entry.history),
  });
}

/** The figures of an entry; null where the audit does not count it. */
interface Figures {
  readonly pieces: number;
  readonly firings: number;
  readonly divided: number;
  readonly defects: string;
  readonly agreeing: number | null;
}

/** The figures that an entry shows. */
function figuresOf({ summary, proofs, agreeing }: EntryRow): Figures {
  const sum = fromJson<{
    firings: number;
    divided: string[];
    defects: { defect: string; count: number }[];
  } | null>(summary);
  return {
    pieces: proofs,
    firings: sum?.firings ?? 0,
    divided: sum?.divided.length ?? 0,
    defects: defectWords(sum?.defects ?? []),
    agreeing,
  };
}

function defectWords(defects: readonly { readonly defect: string; readonly count: number }[]): string {
  return defects
    .map(({ defect, count }) => `${defect} ${count}`)
    .sort()
    .join(', ');
}

/** Faults that are the piece's own. */
const OF_THE_PIECE = new Set([
  ...['body-crack', 'warping', 'coring', 'explosion', 'pop-out'],
  ...['handling-break', 'missed-patch', 'kiln-wash', 'dirty-foot'],
]);

/** What a piece shows on the zones of one entry. */
interface Shown {
  readonly looks: readonly Look[];
  readonly surfaces: readonly string[];
  readonly colours: readonly Palette[];
  readonly defects: readonly string[];
}

function countAgain(studio: Studio, all: readonly Look[]): Figures {
  const newest = [...all].sort((one, other) => other.reading.at.getTime() - one.reading.at.getTime());
  const seen = new Set<string>();
  const counting = newest.filter((look) => {
    const { zone, madeBy } = look;
    const stretch = [zone.piece_id, madeBy, zone.area ?? zone.side, zone.from, zone.to].join();
    return !seen.has(stretch) && seen.add(stretch) && doesCount(studio, look);
  });
  const pieces = [...grouped(counting, ({ zone }) => zone.piece_id).values()];
  const divided = pieces.filter((looks) => disagrees(studio, looks));
  const whole = pieces.filter((looks) => !divided.includes(looks)).map((looks) => shownBy(studio, looks));
  const names = [...new Set(whole.flatMap(({ defects }) => defects))];
  const counts = names.map((defect) => ({
    defect,
    count: whole.filter((one) => one.defects.includes(defect)).length,
  }));
  return {
    pieces: whole.length,
    firings: new Set(whole.map(({ looks }) => looks[0]!.madeBy)).size,
    divided: divided.flat().length,
    defects: defectWords(counts),
    agreeing: agreeingOf(
      whole,
      new Set(counts.filter(({ count }) => count * 2 > whole.length).map((one) => one.defect)),
    ),
  };
}

function doesCount(studio: Studio, { madeBy, versions }: Look): boolean {
  const { cone, filed_cone, achieved_cone, atmosphere_reached } = studio.firings.get(madeBy)!;
  const off = achieved_cone === null ? 0 : Math.abs(achieved_cone - heatOf(filed_cone ?? cone));
  return (
    off <= 0.5 &&
    (atmosphere_reached === null || atmosphere_reached === 'as meant') &&
    versions.every((version) => studio.inUse.has(version))
  );
}

function shownBy(studio: Studio, looks: readonly Look[]): Shown {
  const defects = looks.flatMap(({ reading }) => studio.defects.get(reading.id) ?? []);
  return {
    looks,
    surfaces: looks.flatMap(({ reading }) => reading.surface ?? []),
    colours: looks.flatMap(({ reading, zone }) => {
      const palette = paletteFrom(shadesOf(zone.palette), zone.colour, reading.colour);
      return palette ? [palette] : [];
    }),
    defects: [
      ...new Set(
        defects
          .filter(({ defect, place }) => !OF_THE_PIECE.has(defect) && place !== 'the piece itself')
          .map(({ defect }) => defect),
      ),
    ],
  };
}

const difference = paletteDifference;
const OTHER_COLOUR = 6;

/** Whether the zones of a piece show different things. */
function disagrees(studio: Studio, looks: readonly Look[]): boolean {
  const shown = looks.map((look) => shownBy(studio, [look]));
  return shown.some((one) =>
    shown.some(
      (other) =>
        (one.surfaces[0] && other.surfaces[0] && one.surfaces[0] !== other.surfaces[0]) ||
        (one.colours[0] && other.colours[0] && difference(one.colours[0], other.colours[0]) > OTHER_COLOUR) ||
        one.defects.length !== other.defects.length ||
        one.defects.some((defect) => !other.defects.includes(defect)),
    ),
  );
}

/** With more pieces than this the middle colour is sampled, and agreement is not counted again. */
const MOST = 32;

function agreeingOf(whole: readonly Shown[], usual: ReadonlySet<string>): number | null {
  if (whole.length > MOST) return null;
  const middleOf = (colours: readonly Palette[]) =>
    [...colours].sort((a, b) => sumTo(colours, a) - sumTo(colours, b))[0];
  const sumTo = (colours: readonly Palette[], from: Palette) =>
    colours.reduce((sum, colour) => sum + difference(from, colour), 0);
  const surfaceOf = ({ surfaces }: Shown) => commonest(surfaces);
  const surface = commonest(whole.flatMap((one) => surfaceOf(one) ?? []));
  const colours = whole.map(({ colours: own }) => middleOf(own));
  const colour = middleOf(colours.filter((one) => one !== undefined));
  return whole.filter((one, i) => {
    const own = surfaceOf(one);
    const isOther = colour && colours[i] && difference(colour, colours[i]) > OTHER_COLOUR;
    const asUsual = [...usual].every((defect) => one.defects.includes(defect));
    return (
      (!own || own === surface) && !isOther && asUsual && one.defects.every((defect) => usual.has(defect))
    );
  }).length;
}

function commonest(words: readonly string[]): string | undefined {
  const counts = new Map<string, number>();
  for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1);
  const most = Math.max(...counts.values());
  return [...counts].find(([, count]) => count === most)?.[0];
}
