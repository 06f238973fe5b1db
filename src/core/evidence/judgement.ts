import { plainPalette, type Lab } from '../colour';
import { MOVEMENTS, type Atmosphere, type DefectId, type Heat, type Movement } from '../vocabulary';
import { middlePalette } from './agreement';

/** A read zone with a glaze in it, as far as it says something about that glaze. */
export interface JudgedZone {
  readonly pieceId: string;
  readonly clay: string;
  readonly cone: Heat;
  readonly atmosphere: Atmosphere;
  /** Where the glaze lies: by itself, on another, or beneath one. Between two it counts as both. */
  readonly places: readonly GlazePlace[];
  /** How often it lies there, in coats. */
  readonly times: number;
  readonly movement: Movement | null;
  /** Whether it broke over a texture; null where there was none, or nobody said. */
  readonly breaks: boolean | null;
  readonly colour: Lab | null;
  /** Those that were plainly seen. */
  readonly defects: readonly DefectId[];
  /**
   * Whether its piece differs from the others of the entry; null where there are no others, or the piece disagrees with
   * itself.
   */
  readonly differs: boolean | null;
  /** Whether the programme of its firing held at the top; null without a programme. */
  readonly isHeld: boolean | null;
}

export type GlazePlace = 'alone' | 'over' | 'under';

/** Of so many pieces, so many. */
export interface Share {
  readonly count: number;
  readonly of: number;
}

/** How a glaze did in one place: pieces, those without a plain defect, and the defects by how many pieces show them. */
export interface PlaceVerdict {
  readonly pieces: number;
  readonly sound: number;
  readonly defects: readonly { readonly defect: DefectId; readonly count: number }[];
}

/** What the records know of a glaze when a teacher judges it. Every count is of pieces. */
export interface Judgement {
  /** Alone, on each clay at each cone and in each atmosphere: the colour nearest to all others. */
  readonly colours: readonly {
    readonly clay: string;
    readonly cone: Heat;
    readonly atmosphere: Atmosphere;
    readonly colour: Lab;
    readonly pieces: number;
  }[];
  /** Pieces on whose texture it broke; null where none was asked about. */
  readonly breaks: Share | null;
  /** Pieces by how far it moved at most, alone. */
  readonly moves: readonly { readonly movement: Movement; readonly count: number }[];
  /** Alone, by how often it was put on: pieces without a plain defect. */
  readonly thickness: readonly { readonly times: number; readonly sound: Share }[];
  readonly over: PlaceVerdict;
  readonly under: PlaceVerdict;
  /** Alone, pieces that agree with the others wherever there are others; null for none. */
  readonly repeatable: Share | null;
  /** Alone, pieces without a plain defect where the programme held at the top, and where it did not; null for none. */
  readonly held: Share | null;
  readonly notHeld: Share | null;
}

/** Sums up what the read zones of a glaze say of it. */
export function judgementOf(zones: readonly JudgedZone[]): Judgement {
  const at = (place: GlazePlace) => zones.filter(({ places }) => places.includes(place));
  const alone = at('alone');
  const asked = alone.concat(at('over')).filter(({ breaks }) => breaks !== null);
  const held = (isHeld: boolean) =>
    shareOf(
      alone.filter((zone) => zone.isHeld === isHeld),
      isSound,
    );
  return {
    colours: coloursOf(alone),
    breaks: shareOf(asked, (own) => own.some(({ breaks }) => breaks === true)),
    moves: movesOf(alone),
    thickness: [...new Set(alone.map(({ times }) => times))]
      .sort((a, b) => a - b)
      .map((times) => ({
        times,
        sound: shareOf(
          alone.filter((zone) => zone.times === times),
          isSound,
        )!,
      })),
    over: verdictOf(at('over')),
    under: verdictOf(at('under')),
    repeatable: shareOf(
      alone.filter(({ differs }) => differs !== null),
      (own) => own.every(({ differs }) => !differs),
    ),
    held: held(true),
    notHeld: held(false),
  };
}

const isSound = (zones: readonly JudgedZone[]) => zones.every(({ defects }) => defects.length === 0);

/** Things by a key, in the order in which each key is met first. */
function groupsOf<T>(list: readonly T[], keyOf: (one: T) => string): T[][] {
  const groups = new Map<string, T[]>();
  for (const one of list) {
    const own = groups.get(keyOf(one));
    if (own) own.push(one);
    else groups.set(keyOf(one), [one]);
  }
  return [...groups.values()];
}

/** The zones of each piece. */
const byPiece = (zones: readonly JudgedZone[]) => groupsOf(zones, ({ pieceId }) => pieceId);

/** Of the pieces, those of whose zones something holds; null for no piece. */
function shareOf(zones: readonly JudgedZone[], holds: (own: readonly JudgedZone[]) => boolean): Share | null {
  const pieces = byPiece(zones);
  return pieces.length === 0 ? null : { count: pieces.filter(holds).length, of: pieces.length };
}

function verdictOf(zones: readonly JudgedZone[]): PlaceVerdict {
  const pieces = byPiece(zones);
  const counts = new Map<DefectId, number>();
  for (const own of pieces)
    for (const defect of new Set(own.flatMap(({ defects }) => defects)))
      counts.set(defect, (counts.get(defect) ?? 0) + 1);
  return {
    pieces: pieces.length,
    sound: pieces.filter(isSound).length,
    defects: [...counts].map(([defect, count]) => ({ defect, count })).sort((a, b) => b.count - a.count),
  };
}

/** Pieces by how far it moved on them at most; those of which nobody said are left out. */
function movesOf(zones: readonly JudgedZone[]): Judgement['moves'] {
  const most = byPiece(zones).map((own) =>
    Math.max(...own.map(({ movement }) => (movement === null ? -1 : MOVEMENTS.indexOf(movement)))),
  );
  return MOVEMENTS.map((movement, i) => ({ movement, count: most.filter((one) => one === i).length })).filter(
    ({ count }) => count > 0,
  );
}

function coloursOf(zones: readonly JudgedZone[]): Judgement['colours'] {
  const seen = zones.flatMap(({ colour, ...zone }) => (colour ? [{ ...zone, colour }] : []));
  return groupsOf(seen, ({ clay, cone, atmosphere }) => [clay, cone, atmosphere].join('\n'))
    .map((own) => ({
      ...{ clay: own[0]!.clay, cone: own[0]!.cone, atmosphere: own[0]!.atmosphere },
      colour: middlePalette(own.map(({ colour }) => plainPalette(colour)))![0]!.lab,
      pieces: new Set(own.map(({ pieceId }) => pieceId)).size,
    }))
    .sort((a, b) => b.pieces - a.pieces);
}
