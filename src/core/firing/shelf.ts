import { millimetres, text, type Message } from '../units';
import { formShape, type Form } from '../vocabulary';

/** A shelf as seen from above, mm. */
export interface Shelf {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly round: boolean;
}

/** What a piece covers of a shelf, mm. */
export interface Footprint {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly round: boolean;
}

/** Where a piece stands: its middle from the left and from the back of the shelf, mm. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

export type Standing = Footprint & Spot;

/** Room left between pieces, mm: a finger (common practice), and between a piece and the edge of its shelf. */
export const FINGER = 6;
const EDGE = 3;

/**
 * What a piece covers, by its form.
 *
 * @param cookie on a cookie it takes a centimetre more all round
 */
export function footprintOf(form: Form, widthMm: number, cookie = false): Footprint {
  const more = cookie ? 20 : 0;
  const { shelfDepthMm } = formShape(form);
  return {
    widthMm: widthMm + more,
    depthMm: (shelfDepthMm ?? widthMm) + more,
    round: shelfDepthMm === null,
  };
}

/** Math.hypot guards against overflow, which no shelf needs, and takes ten times as long. */
function distance(x: number, y: number): number {
  return Math.sqrt(x * x + y * y);
}

/** Free room between two standing pieces, mm; below 0 they overlap. */
export function roomBetween(a: Standing, b: Standing): number {
  if (a.round && b.round) return distance(a.x - b.x, a.y - b.y) - (a.widthMm + b.widthMm) / 2;
  const dx = Math.abs(a.x - b.x) - (a.widthMm + b.widthMm) / 2;
  const dy = Math.abs(a.y - b.y) - (a.depthMm + b.depthMm) / 2;
  return dx > 0 && dy > 0 ? distance(dx, dy) : Math.max(dx, dy);
}

/** Whether a piece stands wholly on a shelf. */
export function isOnShelf({ x, y, widthMm, depthMm, round }: Standing, shelf: Shelf): boolean {
  const [cx, cy] = [x - shelf.widthMm / 2, y - shelf.depthMm / 2];
  const [hx, hy] = [widthMm / 2 + EDGE, depthMm / 2 + EDGE];
  if (!shelf.round) return Math.abs(cx) + hx <= shelf.widthMm / 2 && Math.abs(cy) + hy <= shelf.depthMm / 2;
  const [rx, ry] = [shelf.widthMm / 2, shelf.depthMm / 2];
  if (round) return distance(cx / (rx - hx), cy / (ry - hy)) <= 1;
  return distance((Math.abs(cx) + hx) / rx, (Math.abs(cy) + hy) / ry) <= 1;
}

const GRID = 8;

/**
 * The first free spot for a piece, looked for from where it is wanted outwards, or from the back left.
 *
 * @returns null when there is no room
 */
export function freeSpot(
  piece: Footprint,
  standing: readonly Standing[],
  shelf: Shelf,
  near?: Spot,
): Spot | null {
  const spots: Spot[] = [];
  for (let y = GRID; y < shelf.depthMm; y += GRID)
    for (let x = GRID; x < shelf.widthMm; x += GRID) spots.push({ x, y });
  if (near) {
    const far = ({ x, y }: Spot) => Math.hypot(x - near.x, y - near.y);
    spots.sort((a, b) => far(a) - far(b));
    spots.unshift(near);
  }
  const isFree = ({ x, y }: Spot) => {
    const at = { widthMm: piece.widthMm, depthMm: piece.depthMm, round: piece.round, x, y };
    return isOnShelf(at, shelf) && standing.every((other) => roomBetween(at, other) >= FINGER);
  };
  return spots.find(isFree) ?? null;
}

/** A piece of a load as its warnings need it. */
export interface LoadPiece extends Standing {
  readonly id: string;
  readonly label: string;
  readonly shelf: number;
  readonly heightMm: number;
  readonly cookie: boolean;
  /** A glaze on it runs, and how far above the foot it ends, mm; null when nothing runs. */
  readonly runsFrom: number | null;
  /** A glaze on it holds chrome, or tin. */
  readonly chrome: boolean;
  readonly tin: boolean;
}

/** Something about a load worth a second look, and the pieces it is about. */
export interface LoadWarning {
  readonly pieces: readonly string[];
  readonly words: Message;
}

/** Below this a running glaze reaches the shelf (common practice: stop 1 to 2 cm short of the foot), mm. */
const RUN_ROOM = 15;

/** Chrome fumes this far onto tin, mm (judgement; common practice: keep them apart). */
const FUMES = 80;

/**
 * What is doubtful in a load: pieces that overlap or stand over the edge or higher than their posts, runny
 * glazes near the shelf without a cookie, chrome beside tin.
 *
 * @param posts mm between a shelf and what is above it, by shelf; null where nobody said
 */
export function warningsOf(
  pieces: readonly LoadPiece[],
  shelf: Shelf,
  posts: ReadonlyMap<number, number | null>,
): LoadWarning[] {
  const alone = pieces.flatMap((piece): LoadWarning[] => {
    const warn = (words: Message) => ({ pieces: [piece.id], words: text`${piece.label} ${words}` });
    const post = posts.get(piece.shelf);
    return [
      ...(isOnShelf(piece, shelf) ? [] : [warn('stands over the edge of its shelf.')]),
      ...(typeof post === 'number' && piece.heightMm + 5 > post
        ? [warn(text`is ${millimetres(piece.heightMm)} high, its posts ${millimetres(post)}.`)]
        : []),
    ];
  });
  const touching: Pair[] = [];
  const fuming: Pair[] = [];
  for (const [i, a] of pieces.entries())
    for (const b of pieces.slice(i + 1)) {
      if (a.shelf !== b.shelf) continue;
      const room = roomBetween(a, b);
      if (room < 0) touching.push([a, b]);
      else if (((a.chrome && b.tin) || (b.chrome && a.tin)) && room < FUMES) fuming.push([a, b]);
    }
  return [
    ...alone,
    ...runningDown(pieces),
    ...pairs(touching, (words) => `${words} touch.`),
    ...pairs(fuming, (words) => `Chrome beside tin: ${words} may blush pink.`),
  ];
}

type Pair = readonly [LoadPiece, LoadPiece];

/** One piece of advice for all pairs it is for. */
function pairs(found: readonly Pair[], say: (words: string) => string): LoadWarning[] {
  if (found.length === 0) return [];
  const words = found.map(([a, b]) => `${a.label} and ${b.label}`).join('; ');
  return [{ pieces: [...new Set(found.flat().map(({ id }) => id))], words: say(words) }];
}

/** Runny glazes near the shelf: said once, with the pieces and how near the nearest comes. */
function runningDown(pieces: readonly LoadPiece[]): LoadWarning[] {
  const low = pieces.filter(({ runsFrom, cookie }) => runsFrom !== null && runsFrom < RUN_ROOM && !cookie);
  if (low.length === 0) return [];
  const nearest = millimetres(Math.min(...low.map(({ runsFrom }) => runsFrom!)));
  const labels = low.map(({ label }) => label).join(', ');
  const words =
    low.length === 1
      ? text`${labels} carries a runny glaze to ${nearest} from the foot: put a cookie under it.`
      : text`${low.length} carry a runny glaze to ${nearest} from the foot, or little more: put cookies under ${labels}.`;
  return [{ pieces: low.map(({ id }) => id), words }];
}
