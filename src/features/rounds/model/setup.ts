import { USUAL_RING, type Cell, type Ring, type RoundQuestion } from '@/core/rounds';
import type { RoundKind, RoundForm, Atmosphere } from '@/core/vocabulary';
import type { KnownStack } from '@/records/rounds';

/** The questions a round can ask, in the words of those who ask them. */
export const KINDS: Readonly<Record<RoundKind, string>> = {
  overlap: 'Every glaze over every other',
  coats: 'How many coats',
  clays: 'The same glaze on several clays',
  line: 'Line blend',
  triaxial: 'Triaxial blend',
  corners: 'Four-corner grid',
  ladder: 'Addition series',
  crazing: 'Crazing ladder (add silica and kaolin)',
  factorial: 'Vary glaze, clay and coats together',
  free: 'Your own choice of tests',
};

/** Everything that is chosen for a round; what a kind does not use is kept for when it is chosen again. */
export interface Setup extends RoundQuestion {
  readonly name: string;
  readonly twins: number;
  readonly form: RoundForm;
  /** The rings that strips are cut from. */
  readonly ring: Ring;
  /** Whether all but the faces is waxed before dipping. */
  readonly isWaxed: boolean;
  readonly cone: string;
  readonly atmosphere: Atmosphere;
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
  tests: [],
  twins: 2,
  form: 'tile',
  ring: USUAL_RING,
  isWaxed: false,
  cone: '6',
  atmosphere: 'oxidation',
  dueOn: null,
  out: [],
  taken: [],
};

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
