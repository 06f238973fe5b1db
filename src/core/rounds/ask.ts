import type { RoundKind } from '../vocabulary';
import {
  additionLadder,
  crazingRound,
  fourCorners,
  leftOut,
  lineBlend,
  triaxial,
  type LadderAddition,
} from './blends';
import { clayComparison, coatsLadder, factorialRound, freeRound, overlapGrid, type FreeTest } from './layers';
import { everyLevel, repeated, type Levels } from './levels';
import { MOST_CELLS, MOST_LAYERS, type Corner, type NamedRecipe, type Plan } from './model';
import { dressed, layerOf, placesOf, type Pattern, type PatternLayer, type TestForm } from './pattern';

/** One test put together by hand: its layers, bottom first. */
export interface HandTest {
  readonly stack: readonly PatternLayer[];
}

/** What is asked; what a kind does not use is left unlooked at. */
export interface RoundQuestion extends Pattern, Omit<Levels, 'bodies'> {
  readonly kind: RoundKind;
  /** Glaze ids, in order: those to overlap, coat or try on clays; corners for blends; the base first for ladders. */
  readonly glazes: readonly string[];
  /** The clays that a kind varies; the first is that of a round which does not. */
  readonly bodies: readonly string[];
  /** Clays that all of it is repeated on. */
  readonly alsoOn: readonly string[];
  /** What the tests are made on. */
  readonly piece: TestForm;
  /** Cells along an edge, ends counted; for coats, up to so many. */
  readonly steps: number;
  readonly columns: number;
  readonly rows: number;
  readonly singlesTwice: boolean;
  readonly additions: readonly LadderAddition[];
  /** How many steps of a series lie below the base. */
  readonly down: number;
  /** The most tests there is room for, when several things vary at once. */
  readonly most: number;
  /** The tests of a free round, by glaze id. */
  readonly tests: readonly HandTest[];
}

/** How many glazes a kind takes: exactly so many, or at least. */
export const GLAZES_OF: Readonly<Record<RoundKind, { readonly least: number; readonly most: number }>> = {
  overlap: { least: 2, most: 30 },
  coats: { least: 1, most: 20 },
  clays: { least: 1, most: 20 },
  line: { least: 2, most: 2 },
  triaxial: { least: 3, most: 3 },
  corners: { least: 4, most: 4 },
  ladder: { least: 1, most: 1 },
  without: { least: 1, most: 1 },
  crazing: { least: 1, most: 1 },
  factorial: { least: 1, most: 20 },
  free: { least: 0, most: 0 },
};

/** Whether a kind mixes new glazes, so that every glaze in it must have a recipe. */
export function isBlend(kind: RoundKind): boolean {
  return !['overlap', 'coats', 'clays', 'factorial', 'free'].includes(kind);
}

/** Whether a kind varies the clay. */
export function bodiesVary(kind: RoundKind): boolean {
  return kind === 'clays' || kind === 'factorial';
}

/** A plan, and what a fraction of it can no longer tell apart. */
export interface LaidOut {
  readonly plan: Plan;
  readonly aliases: readonly string[];
}

/**
 * The plan a question comes to. Glazes go into it by id, so that two of one name cannot be mistaken.
 *
 * @returns the plan, or in words why there is none yet
 */
export function layOut(question: RoundQuestion, glazes: readonly NamedRecipe[]): LaidOut | string {
  const { kind, bodies } = question;
  const { least, most } = GLAZES_OF[kind];
  const chosen = question.glazes
    .map((id) => glazes.find((glaze) => glaze.id === id))
    .filter((glaze) => glaze !== undefined)
    .slice(0, most);
  if (chosen.length < least)
    return least === 1 ? 'Choose a glaze.' : `Choose ${least === most ? '' : 'at least '}${least} glazes.`;
  const bare = isBlend(kind) ? chosen.find((glaze) => !glaze.lines) : undefined;
  if (bare) return `${bare.name} has no recipe, so it cannot be blended. Add its recipe on its page first.`;
  if (kind === 'factorial' && bodies.length < 1) return 'Choose a clay.';
  if (kind === 'clays' && bodies.length < 2) return 'Choose at least two clays.';
  if (kind === 'free' && question.tests.length === 0) return 'Add the first test.';
  if (kind === 'ladder' && question.additions.some(({ material, step }) => !material.trim() || !(step > 0)))
    return 'Say what is added, and how much more each time.';
  const layers = mostLayers(question);
  if (layers > MOST_LAYERS) return `${layers} layers on a piece: more than ${MOST_LAYERS}. Take some out.`;
  if (
    kind === 'ladder' &&
    !(Number.isInteger(question.down) && question.down >= 0 && question.down < question.steps)
  )
    return `Steps below the base: from 0 to ${question.steps - 1}.`;
  const count = countCells(question, chosen);
  if (count > MOST_CELLS)
    return `${count} tests: more than ${MOST_CELLS}. Nobody targets that; take steps or glazes out.`;
  try {
    const { plan, aliases } = laid(
      question,
      chosen.map(({ id, lines }) => ({ name: id, ...(lines && { lines }) })),
    );
    const isByHand = kind === 'free';
    const cells = plan.cells.map((cell) => (isByHand ? cell : dressed(cell, question, question.piece)));
    return { plan: repeated({ ...plan, cells }, everyLevel(levelsOf(question))), aliases };
  } catch (error) {
    return `It cannot be laid out: ${(error as Error).message}.`;
  }
}

/** What all of a round is repeated on: where it varies several things together, that is among them. */
export function levelsOf({ kind, bodies, alsoOn, textures, targets }: RoundQuestion): Levels {
  if (kind === 'factorial')
    return { bodies: [], textures: textures.slice(0, 1), targets: targets.slice(0, 1) };
  const first = bodies.slice(0, 1);
  return {
    bodies: kind === 'clays' ? [] : [...first, ...alsoOn.filter((id) => id !== first[0])],
    textures,
    targets,
  };
}

/** Layers of the test that has most. */
function mostLayers({ kind, below, above, tests }: RoundQuestion): number {
  if (kind === 'free') return Math.max(0, ...tests.map(({ stack }) => stack.length));
  return below.length + (kind === 'overlap' ? 2 : 1) + above.length;
}

function countCells(question: RoundQuestion, glazes: readonly NamedRecipe[]): number {
  return cellsOfPart(question, glazes) * everyLevel(levelsOf(question)).length;
}

function cellsOfPart(question: RoundQuestion, glazes: readonly NamedRecipe[]): number {
  const { kind, steps, columns, rows, singlesTwice, most, bodies, tests, textures, targets } = question;
  switch (kind) {
    case 'overlap':
      return glazes.length * (glazes.length + Number(singlesTwice));
    case 'coats':
      return glazes.length * steps;
    case 'clays':
      return glazes.length * bodies.length;
    case 'factorial':
      return Math.min(
        most,
        glazes.length * bodies.length * 2 * Math.max(1, textures.length) * Math.max(1, targets.length),
      );
    case 'triaxial':
      return (steps * (steps + 1)) / 2;
    case 'corners':
      return columns * rows;
    case 'free':
      return tests.length;
    case 'without':
      return (glazes[0]?.lines?.length ?? 0) + 1;
    case 'line':
    case 'ladder':
    case 'crazing':
      return steps;
  }
}

function laid(question: RoundQuestion, corners: readonly Corner[]): LaidOut {
  const { bodies, steps, most } = question;
  const [a, b, c, d] = corners as [Corner, Corner, Corner, Corner];
  const alone = (plan: Plan): LaidOut => ({ plan, aliases: [] });
  switch (question.kind) {
    case 'overlap':
      return alone(overlapGrid(corners, question.singlesTwice));
    case 'coats':
      return alone(coatsLadder(corners, steps));
    case 'clays':
      return alone(clayComparison(corners, bodies));
    case 'line':
      return alone(lineBlend([a, b], steps));
    case 'triaxial':
      return alone(triaxial([a, b, c], steps));
    case 'corners':
      return alone(fourCorners([a, b, c, d], question.columns, question.rows));
    case 'ladder':
      return alone(additionLadder(a, question.additions, steps, question.down));
    case 'without':
      return alone(leftOut(a));
    case 'crazing':
      return alone(crazingRound(a, steps));
    case 'factorial':
      return factorialRound(
        { glazes: corners, bodies, coats: [1, 2], textures: question.textures, targets: question.targets },
        most,
      );
    case 'free':
      return alone(freeRound(byHand(question)));
  }
}

/** The tests put together by hand, with their layers where the form has them. */
function byHand({ tests, piece }: RoundQuestion): FreeTest[] {
  const places = placesOf(piece);
  return tests.map(({ stack }) => ({ stack: stack.map((layer) => layerOf(layer, places)) }));
}
