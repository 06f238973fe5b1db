import type { RoundKind } from '../vocabulary';
import type { Line } from '../chemistry';
import {
  additionLadder,
  crazingRound,
  fourCorners,
  lineBlend,
  triaxial,
  type LadderAddition,
} from './blends';
import { clayComparison, coatsLadder, factorialRound, freeRound, overlapGrid, type FreeTest } from './layers';
import { MOST_CELLS, type Corner, type Plan } from './model';

/** What is asked; what a kind does not use is left unlooked at. */
export interface RoundQuestion {
  readonly kind: RoundKind;
  /** Glaze ids, in order: those to overlap, coat or try on clays; corners for blends; the base first for ladders. */
  readonly glazes: readonly string[];
  readonly bodies: readonly string[];
  /** Cells along an edge, ends counted; for coats, up to so many. */
  readonly steps: number;
  readonly columns: number;
  readonly rows: number;
  readonly singlesTwice: boolean;
  readonly additions: readonly LadderAddition[];
  /** The most tests there is room for, when several things vary at once. */
  readonly most: number;
  /** The tests of a free round, by glaze id. */
  readonly tests: readonly FreeTest[];
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

/** A glaze as a round chooses among them. */
export interface NamedRecipe {
  readonly id: string;
  readonly name: string;
  readonly colour: string;
  readonly lines: readonly Line[] | null;
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
  const count = countCells(question, chosen.length);
  if (count > MOST_CELLS)
    return `${count} tests: more than ${MOST_CELLS}. Nobody fires that; take steps or glazes out.`;
  try {
    return laid(
      question,
      chosen.map(({ id, lines }) => ({ name: id, ...(lines && { lines }) })),
    );
  } catch (error) {
    return `It cannot be laid out: ${(error as Error).message}.`;
  }
}

function countCells(question: RoundQuestion, glazes: number): number {
  const { kind, steps, columns, rows, singlesTwice, most, bodies, tests } = question;
  switch (kind) {
    case 'overlap':
      return glazes * (glazes + Number(singlesTwice));
    case 'coats':
      return glazes * steps;
    case 'clays':
      return glazes * bodies.length;
    case 'factorial':
      return Math.min(most, glazes * bodies.length * 2);
    case 'triaxial':
      return (steps * (steps + 1)) / 2;
    case 'corners':
      return columns * rows;
    case 'free':
      return tests.length;
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
      return alone(additionLadder(a, question.additions, steps));
    case 'crazing':
      return alone(crazingRound(a, steps));
    case 'factorial':
      return factorialRound(corners, bodies, [1, 2], most);
    case 'free':
      return alone(freeRound(question.tests));
  }
}
