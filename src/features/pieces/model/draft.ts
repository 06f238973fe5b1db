import { coreCoat, covers, EDGE_TOLERANCE, type Area } from '@/core/coats';
import {
  formShape,
  reachMm,
  type Form,
  type GlazeKind,
  type Method,
  type Movement,
  type Side,
} from '@/core/vocabulary';
import type { CoatDraft, PieceDraft } from '@/records/pieces';
import type { DrawnCoat } from '@/ui/Silhouette';

/** A clay to choose. */
export interface BodyChoice {
  readonly id: string;
  readonly name: string;
  readonly colour: string;
}

/** What the editor needs to know of a glaze. */
export interface GlazeChoice {
  readonly id: string;
  readonly name: string;
  readonly kind: GlazeKind;
  readonly colour: string;
  readonly advice: string;
  /** Null when nobody said, as of `opaque`. */
  readonly movement: Movement | null;
  readonly opaque: boolean | null;
  /** The version in use. */
  readonly versionId: string;
  /** All versions, newest first. */
  readonly versions: readonly { readonly id: string; readonly number: number }[];
  readonly batches: readonly {
    readonly id: string;
    readonly code: string;
    readonly versionNumber: number;
  }[];
}

/** A new piece of a form, at its usual size, with nothing on it. */
export function emptyDraft(form: Form, bodyId: string): PieceDraft {
  const { heightMm, widthMm } = formShape(form);
  return { form, heightMm, widthMm, bodyId, split: false, texture: {}, areas: [], note: '', coats: [] };
}

/** Changes the form: usual size, no split where it cannot be, coats on sides it has not moved to its first side. */
export function withForm(draft: PieceDraft, form: Form): PieceDraft {
  const shape = formShape(form);
  const split = draft.split && shape.canSplit;
  const next = { ...draft, form, split, heightMm: shape.heightMm, widthMm: shape.widthMm };
  const sides = sidesFor(next);
  const coats = draft.coats.map((coat) => (sides.includes(coat.side) ? coat : { ...coat, side: sides[0]! }));
  const texture = Object.fromEntries(
    Object.entries(draft.texture).filter(([side]) => texturedSides(next).includes(side as Side)),
  );
  // What lay on a side that it has not lies on its first one.
  const areas = draft.areas.map((area) =>
    area.side === null || sides.includes(area.side) ? area : { ...area, side: sides[0]! },
  );
  return { ...next, texture, areas, coats };
}

/** The sides a coat can go on. */
export function sidesFor(draft: Pick<PieceDraft, 'form' | 'split'>): Side[] {
  const { sides } = formShape(draft.form);
  return draft.split ? [...sides.filter((side) => side !== 'inside'), 'left', 'right'] : [...sides];
}

/** The sides whose clay may be treated in its own way. */
export function texturedSides(draft: Pick<PieceDraft, 'form' | 'split'>): Side[] {
  return sidesFor(draft).filter((side) => !draft.split || side !== 'outside');
}

/** Where a fresh coat lies: foot up two thirds, then rim down two thirds, then across the middle. */
const FRESH: readonly (readonly [number, number])[] = [
  [0, 0.66],
  [0.34, 1],
  [0.34, 0.66],
];

/** Adds a coat on top, dipped once, on the side of the coat before it. */
export function addCoat(draft: PieceDraft, glaze: GlazeChoice): PieceDraft {
  const below = draft.coats.filter((coat) => coat.firingId === null && coat.to - coat.from < 0.99).length;
  const [from, to] = glaze.kind === 'slip' ? [0, 1] : FRESH[Math.min(below, FRESH.length - 1)]!;
  const method: Method =
    glaze.kind === 'wash' || glaze.kind === 'underglaze' || glaze.kind === 'resist' ? 'brush' : 'dip';
  const side = draft.coats.at(-1)?.side ?? sidesFor(draft)[0]!;
  const coat: CoatDraft = {
    glazeId: glaze.id,
    batchId: glaze.batches[0]?.id ?? null,
    versionId: null,
    method,
    times: 1,
    seconds: null,
    side: covers('outside', side) ? 'outside' : side,
    from,
    to,
    dryBefore: null,
    clay: null,
    wiped: false,
    firingId: null,
    area: null,
    not: [],
  };
  return { ...draft, coats: [...draft.coats, coat] };
}

/** Changes one coat. */
export function withCoat(draft: PieceDraft, index: number, change: Partial<CoatDraft>): PieceDraft {
  return { ...draft, coats: draft.coats.map((coat, i) => (i === index ? { ...coat, ...change } : coat)) };
}

/** Takes one coat off. */
export function withoutCoat(draft: PieceDraft, index: number): PieceDraft {
  return { ...draft, coats: draft.coats.filter((_, i) => i !== index) };
}

/** Puts a coat before (−1) or after (+1) its neighbour in the order of application. */
export function movedCoat(draft: PieceDraft, index: number, by: -1 | 1): PieceDraft {
  const to = index + by;
  if (to < 0 || to >= draft.coats.length) return draft;
  const coats = [...draft.coats];
  [coats[index], coats[to]] = [coats[to]!, coats[index]!];
  return { ...draft, coats };
}

/** The smallest band that can be drawn, as a fraction. */
const LEAST = 0.01;

/** Moves an edge of a coat, kept on the piece and above or below its other edge, to whole millimetres. */
export function withEdge(draft: PieceDraft, index: number, edge: 'from' | 'to', at: number): PieceDraft {
  const coat = draft.coats[index]!;
  const mm = Math.round(at * draft.heightMm) / draft.heightMm;
  const value =
    edge === 'from'
      ? Math.min(Math.max(0, mm), coat.to - LEAST)
      : Math.max(Math.min(1, mm), coat.from + LEAST);
  return withCoat(draft, index, { [edge]: value });
}

/** The areas that can be drawn: those with a height. */
export function drawnAreas({ areas }: Pick<PieceDraft, 'areas'>): Area[] {
  return areas.filter(({ from, to }) => from >= 0 && to <= 1 && to - from > EDGE_TOLERANCE);
}

/** The coats that can be drawn: those with a glaze and a band, on a side or an area that can be. */
export function drawnCoats(draft: PieceDraft, glazes: ReadonlyMap<string, GlazeChoice>): DrawnCoat[] {
  const known = new Set(drawnAreas(draft).map(({ name }) => name));
  return draft.coats.flatMap((coat) => {
    if (coat.area !== null && !known.has(coat.area)) return [];
    const not = coat.not.filter((name) => known.has(name));
    const glaze = glazes.get(coat.glazeId);
    if (!glaze || !(coat.from >= 0 && coat.to <= 1 && coat.to - coat.from > 1e-6) || !(coat.times >= 1))
      return [];
    const times = Math.round(coat.times);
    return { ...coreCoat({ ...coat, not, times, glazeKind: glaze.kind }), colour: glaze.colour };
  });
}

/** An edge that is not typed yet: out of range, so that it is refused. */
export const BLANK = -1;

/** Where a coat or an area ends as a fraction of how far its bands reach; blank and nonsense stay out of range to be refused. */
export function fractionOf(mm: number | null, draft: PieceDraft): number {
  const reach = reachMm(draft);
  return mm === null ? BLANK : Math.abs(mm - reach) < 0.5 ? 1 : mm / reach;
}
