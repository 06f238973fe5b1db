import { coreCoats, covers, EDGE_TOLERANCE, PLAIN_COAT, PLAIN_PIECE, type WrittenArea } from '@/core/coats';
import {
  formShape,
  reachMm,
  STUFF,
  type Form,
  type GlazeKind,
  type Method,
  type Movement,
  type Side,
} from '@/core/vocabulary';
import type { CoatDraft, PieceDraft, StudioForm, UsualWay } from '@/records/pieces';
import type { DrawnCoat } from '@/ui/silhouette';

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
  /** How it is usually put on; null when nobody said and nobody has. */
  readonly usualMethod: Method | null;
  readonly usualTimes: number | null;
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

/** A glaze with the way it is usually put on: what its card says, else what the last coats of it were. */
export function withUsualWay<G extends Pick<GlazeChoice, 'id' | 'usualMethod' | 'usualTimes'>>(
  glaze: G,
  ways: ReadonlyMap<string, UsualWay>,
): G {
  const way = ways.get(glaze.id);
  // A card that says how says how often with it.
  if (glaze.usualMethod !== null || !way) return glaze;
  return { ...glaze, usualMethod: way.method, usualTimes: glaze.usualTimes ?? way.times };
}

/** A new piece of a form, at its usual size, with nothing on it. */
export function emptyDraft(form: Form, bodyId: string): PieceDraft {
  const { heightMm, widthMm } = formShape(form);
  return { ...PLAIN_PIECE, form, heightMm, widthMm, bodyId, coats: [] };
}

/** A form of the studio's own, as far as a piece takes it over. */
export type FormChoice = Pick<
  StudioForm,
  'id' | 'name' | 'form' | 'profile' | 'heightMm' | 'widthMm' | 'bands'
>;

/** Changes the form to one of the studio's own: its silhouette and size, the sides of the one it is a kind of. */
export function withOwnForm(draft: PieceDraft, own: FormChoice): PieceDraft {
  const { id: formId, profile, heightMm, widthMm } = own;
  return { ...withForm(draft, own.form), formId, profile, heightMm, widthMm };
}

/** Changes the form: usual size, no split where it cannot be, coats on sides it has not moved to its first side. */
export function withForm(draft: PieceDraft, form: Form): PieceDraft {
  const shape = formShape(form);
  const split = draft.split && shape.canSplit;
  const next: PieceDraft = {
    ...{ ...draft, form, formId: null, profile: null, split },
    ...{ heightMm: shape.heightMm, widthMm: shape.widthMm },
  };
  const sides = sidesFor(next);
  const coats = draft.coats.map((coat) => (sides.includes(coat.side) ? coat : { ...coat, side: sides[0]! }));
  const texture = Object.fromEntries(
    Object.entries(draft.texture).filter(([side]) => texturedSides(next).includes(side as Side)),
  );
  return { ...next, texture, areas: areasOn(next, draft), coats };
}

/**
 * The areas of a piece on another form: what lay on a side that it has not lies on its first one, and a drawing stays
 * as long as both are seen from the side, or both from above.
 */
export function areasOn(
  next: Pick<PieceDraft, 'form' | 'split'>,
  { form, areas }: Pick<PieceDraft, 'form' | 'areas'>,
): WrittenArea[] {
  const sides = sidesFor(next);
  const isSeenAlike = formShape(form).plan === formShape(next.form).plan;
  return areas.map((area) => ({
    ...area,
    side: area.side === null || sides.includes(area.side) ? area.side : sides[0]!,
    outline: isSeenAlike ? area.outline : null,
  }));
}

/** The sides a coat can go on. */
export function sidesFor(draft: Pick<PieceDraft, 'form' | 'split'>): Side[] {
  const { sides } = formShape(draft.form);
  if (!draft.split) return [...sides];
  return ['outside', 'left', 'right', ...sides.filter((side) => side === 'inside')];
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

/** Kinds that a brush puts on. */
const BRUSHED: ReadonlySet<GlazeKind> = new Set(['wash', 'underglaze', 'resist', 'lustre']);

/** How a glaze is put on when nobody says how. */
export function usualMethodOf({ usualMethod, kind }: Pick<GlazeChoice, 'usualMethod' | 'kind'>): Method {
  return usualMethod ?? STUFF[kind] ?? (BRUSHED.has(kind) ? 'brush' : 'dip');
}

/** Adds a coat on top, in its glaze's usual way, on the side of the coat before it. */
export function addCoat(draft: PieceDraft, glaze: GlazeChoice): PieceDraft {
  const below = draft.coats.filter((coat) => coat.firingId === null && coat.to - coat.from < 0.99).length;
  const stuff = STUFF[glaze.kind];
  const [from, to] = glaze.kind === 'slip' || stuff ? [0, 1] : FRESH[Math.min(below, FRESH.length - 1)]!;
  const side = draft.coats.at(-1)?.side ?? sidesFor(draft)[0]!;
  const coat: CoatDraft = {
    ...PLAIN_COAT,
    glazeId: glaze.id,
    batchId: glaze.batches[0]?.id ?? null,
    method: usualMethodOf(glaze),
    times: glaze.usualTimes ?? 1,
    side: covers('outside', side) ? 'outside' : side,
    from,
    to,
  };
  return { ...draft, coats: [...draft.coats, coat] };
}

/** The change that makes a coat one of another glaze: its newest batch, unless it was fired and nobody knows which. */
export function otherGlaze(
  { firingId }: Pick<CoatDraft, 'firingId'>,
  glaze: GlazeChoice,
): Partial<CoatDraft> {
  const stuff = STUFF[glaze.kind];
  return {
    glazeId: glaze.id,
    batchId: firingId === null ? (glaze.batches[0]?.id ?? null) : null,
    versionId: null,
    ...(stuff ? { method: stuff } : { grams: null, pieces: null }),
  };
}

const ACROSS: Readonly<Record<Side, Side>> = {
  outside: 'inside',
  inside: 'outside',
  left: 'right',
  right: 'left',
};

/** Lays the same coat on the other side too, right after it; a piece of one side, and a coat on an area, stay as they are. */
export function onOtherSide(draft: PieceDraft, index: number): PieceDraft {
  const coat = draft.coats[index]!;
  const side = ACROSS[coat.side];
  if (coat.area !== null || !sidesFor(draft).includes(side)) return draft;
  const twin: CoatDraft = { ...coat, side, not: [] };
  return { ...draft, coats: [...draft.coats.slice(0, index + 1), twin, ...draft.coats.slice(index + 1)] };
}

/** Changes one coat. */
export function withCoat(draft: PieceDraft, index: number, change: Partial<CoatDraft>): PieceDraft {
  return { ...draft, coats: draft.coats.map((coat, i) => (i === index ? { ...coat, ...change } : coat)) };
}

/** Takes one coat off. */
export function withoutCoat(draft: PieceDraft, index: number): PieceDraft {
  return { ...draft, coats: draft.coats.filter((_, i) => i !== index) };
}

/** Puts a coat in another place in the order of application; those between move up. */
export function movedCoat(draft: PieceDraft, from: number, to: number): PieceDraft {
  if (to < 0 || to >= draft.coats.length) return draft;
  const coats = [...draft.coats];
  coats.splice(to, 0, ...coats.splice(from, 1));
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

/** The draft at a size that can be drawn: while one is blank or wrong, as large as the form usually is. */
export function drawable(draft: PieceDraft): PieceDraft {
  const usual = formShape(draft.form);
  return {
    ...draft,
    heightMm: draft.heightMm > 0 ? draft.heightMm : usual.heightMm,
    widthMm: draft.widthMm > 0 ? draft.widthMm : usual.widthMm,
  };
}

/** The areas that can be drawn: those with a height. */
export function drawnAreas({ areas }: Pick<PieceDraft, 'areas'>): WrittenArea[] {
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
    // How far its edge rises is not typed yet.
    const cover = coat.cover?.kind === 'slope' && !(coat.cover.rise > 0) ? null : coat.cover;
    return coreCoats({ ...coat, not, times, cover, glazeKind: glaze.kind }).map((core) => ({
      ...core,
      colour: glaze.colour,
    }));
  });
}

/** An edge that is not typed yet: out of range, so that it is refused. */
export const BLANK = -1;

/** Where a coat or an area ends as a fraction of how far its bands reach; blank and nonsense stay out of range to be refused. */
export function fractionOf(mm: number | null, draft: PieceDraft): number {
  const reach = reachMm(draft);
  return mm === null ? BLANK : Math.abs(mm - reach) < 0.5 ? 1 : mm / reach;
}
