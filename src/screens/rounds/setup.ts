import type { Line } from '@/core/chemistry';
import {
  additionLadder,
  clayComparison,
  coatsLadder,
  crazingRound,
  factorialRound,
  fourCorners,
  lineBlend,
  MOST_CELLS,
  overlapGrid,
  triaxial,
  type Cell,
  type Corner,
  type Plan,
} from '@/core/rounds';
import type { KnownStack } from '@/records/rounds';

/** The questions a round can ask, in the words of those who ask them. */
export const KINDS = {
  overlap: 'Every glaze over every other',
  coats: 'How many coats',
  clays: 'The same glaze on several clays',
  line: 'Between two glazes',
  triaxial: 'Between three glazes',
  corners: 'Between four glazes',
  ladder: 'More and more of an addition',
  crazing: 'Away from crazing',
  factorial: 'Several things at once',
} as const;
export type Kind = keyof typeof KINDS;

/** Everything that is chosen for a round; what a kind does not use is kept for when it is chosen again. */
export interface Setup {
  readonly kind: Kind;
  readonly name: string;
  /** Glaze ids, in order: those to overlap, coat or try on clays; corners for blends; the base first for ladders. */
  readonly glazes: readonly string[];
  readonly bodies: readonly string[];
  readonly steps: number;
  readonly columns: number;
  readonly rows: number;
  readonly singlesTwice: boolean;
  readonly additions: readonly { readonly material: string; readonly step: number }[];
  /** The most tests there is room for, when several things vary at once. */
  readonly most: number;
  readonly twins: number;
  readonly form: 'tile' | 'ring strip';
  readonly cone: string;
  readonly atmosphere: 'oxidation' | 'neutral' | 'reduction';
  readonly dueOn: string | null;
  /** Codes of cells left out by hand, and of proved ones taken in after all. */
  readonly out: readonly string[];
  readonly taken: readonly string[];
}

export const FIRST_SETUP: Setup = {
  kind: 'crazing',
  name: '',
  glazes: [],
  bodies: [],
  steps: 5,
  columns: 5,
  rows: 7,
  singlesTwice: true,
  additions: [{ material: 'Red iron oxide', step: 1 }],
  most: 16,
  twins: 2,
  form: 'tile',
  cone: '6',
  atmosphere: 'oxidation',
  dueOn: null,
  out: [],
  taken: [],
};

/** How many glazes a kind takes: exactly so many, or at least. */
export const GLAZES_OF: Readonly<Record<Kind, { readonly least: number; readonly most: number }>> = {
  overlap: { least: 2, most: 30 },
  coats: { least: 1, most: 20 },
  clays: { least: 1, most: 20 },
  line: { least: 2, most: 2 },
  triaxial: { least: 3, most: 3 },
  corners: { least: 4, most: 4 },
  ladder: { least: 1, most: 1 },
  crazing: { least: 1, most: 1 },
  factorial: { least: 1, most: 20 },
};

/** Whether a kind mixes new glazes, so that every glaze in it must have a recipe. */
export function isBlend(kind: Kind): boolean {
  return !['overlap', 'coats', 'clays', 'factorial'].includes(kind);
}

/** Whether a kind varies the clay. */
export function bodiesOf(kind: Kind): boolean {
  return kind === 'clays' || kind === 'factorial';
}

export interface NamedRecipe {
  readonly id: string;
  readonly name: string;
  readonly colour: string;
  readonly lines: readonly Line[] | null;
}

/**
 * The plan a setup comes to. Glazes go into it by id, so that two of one name cannot be mistaken.
 *
 * @returns the plan, or in words why there is none yet
 */
export function planOf(
  setup: Setup,
  glazes: readonly NamedRecipe[],
  bodies: readonly string[],
): Plan | string {
  const { least, most } = GLAZES_OF[setup.kind];
  const chosen = setup.glazes
    .map((id) => glazes.find((glaze) => glaze.id === id))
    .filter((glaze) => glaze !== undefined)
    .slice(0, most);
  if (chosen.length < least)
    return least === 1 ? 'Choose a glaze.' : `Choose ${least === most ? '' : 'at least '}${least} glazes.`;
  const bare = isBlend(setup.kind) ? chosen.find((glaze) => !glaze.lines) : undefined;
  if (bare) return `${bare.name} has no recipe, so it cannot be blended. Write it down on its page first.`;
  if (setup.kind === 'factorial' && bodies.length < 1) return 'Choose a clay.';
  if (setup.kind === 'clays' && bodies.length < 2) return 'Choose at least two clays.';
  if (
    setup.kind === 'ladder' &&
    setup.additions.some(({ material, step }) => !material.trim() || !(step > 0))
  )
    return 'Say what is added, and how much more each time.';
  const count = cellsOf(setup, chosen.length, bodies.length);
  if (count > MOST_CELLS)
    return `${count} tests: more than ${MOST_CELLS}. Nobody fires that; take steps or glazes out.`;
  try {
    return built(
      setup,
      chosen.map(({ id, lines }) => ({ name: id, ...(lines && { lines }) })),
      bodies,
    );
  } catch (error) {
    return `It cannot be laid out: ${(error as Error).message}.`;
  }
}

function cellsOf(
  { kind, steps, columns, rows, singlesTwice, most }: Setup,
  glazes: number,
  bodies: number,
): number {
  switch (kind) {
    case 'overlap':
      return glazes * (glazes + Number(singlesTwice));
    case 'clays':
      return glazes * bodies;
    case 'factorial':
      return Math.min(most, glazes * bodies * 2);
    case 'triaxial':
      return (steps * (steps + 1)) / 2;
    case 'corners':
      return columns * rows;
    default:
      return glazes * steps;
  }
}

function built(setup: Setup, corners: readonly Corner[], bodies: readonly string[]): Plan {
  const [a, b, c, d] = corners as [Corner, Corner, Corner, Corner];
  switch (setup.kind) {
    case 'overlap':
      return overlapGrid(corners, setup.singlesTwice);
    case 'coats':
      return coatsLadder(corners, setup.steps);
    case 'clays':
      return clayComparison(corners, bodies);
    case 'line':
      return lineBlend([a, b], setup.steps);
    case 'triaxial':
      return triaxial([a, b, c], setup.steps);
    case 'corners':
      return fourCorners([a, b, c, d], setup.columns, setup.rows);
    case 'ladder':
      return additionLadder(a, setup.additions, setup.steps);
    case 'crazing':
      return crazingRound(a, setup.steps);
    case 'factorial':
      return severalAtOnce(setup, corners, bodies).plan;
  }
}

/** Glaze, clay and one or two coats varied together, and what a fraction of it cannot tell apart. */
export function severalAtOnce(
  { most }: Pick<Setup, 'most'>,
  glazes: readonly Corner[],
  bodies: readonly string[],
) {
  return factorialRound(glazes, bodies, [1, 2], most);
}

/** What the dictionary holds of a cell on a body, if anything. */
export function knownOf(
  cell: Cell,
  bodyId: string,
  { cone, atmosphere }: Pick<Setup, 'cone' | 'atmosphere'>,
  known: readonly KnownStack[],
): KnownStack | undefined {
  if (!cell.stack) return undefined;
  const key = JSON.stringify(cell.stack);
  return known.find(
    (one) =>
      one.bodyId === bodyId &&
      one.cone === cone &&
      one.atmosphere === atmosphere &&
      JSON.stringify(one.stack) === key,
  );
}

/** Words with glaze ids in them as people read them. */
export function named(
  words: string,
  glazes: readonly { readonly id: string; readonly name: string }[],
): string {
  return words.replace(
    /[0-9A-HJKMNP-TV-Z]{26}/g,
    (id) => glazes.find((glaze) => glaze.id === id)?.name ?? id,
  );
}
