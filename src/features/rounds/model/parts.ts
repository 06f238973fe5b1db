import { fireWords, levelWords, textureWord, verdictOf, type SeenPiece, type Verdict } from '@/core/rounds';
import type { RoundCell, RoundPiece } from '@/records/rounds';

/** One part of a round: the same tests on one clay, with one treatment, in one fire. */
export interface Part<C> {
  /** What sets it apart from the others; empty where it is the only one. */
  readonly words: string;
  readonly cells: readonly C[];
}

type Placed = Pick<RoundCell, 'block' | 'body' | 'texture' | 'cone' | 'atmosphere'>;

/** The cells of a round by its parts, in order. */
export function partsOf<C extends Placed>(cells: readonly C[]): Part<C>[] {
  const blocks = [...new Set(cells.map(({ block }) => block))].sort((a, b) => a - b);
  const parts = blocks.map((block) => cells.filter((cell) => cell.block === block));
  // A part whose cells vary their clay among themselves is not set apart by it.
  const only = <V>(list: readonly C[], of: (cell: C) => V) =>
    new Set(list.map((cell) => JSON.stringify(of(cell)))).size === 1 ? of(list[0]!) : undefined;
  const levels = parts.map((list) => {
    const [body, texture] = [only(list, (cell) => cell.body), only(list, (cell) => cell.texture)];
    const fire = only(list, ({ cone, atmosphere }) => ({ cone, atmosphere }));
    return {
      ...(body !== undefined && { body }),
      ...(texture !== undefined && { texture }),
      ...(fire && { fire }),
    };
  });
  const words = levelWords(levels, (body) => body);
  return parts.map((list, i) => ({ words: words[i]!, cells: list }));
}

/** What may vary between cells that are glazed alike. */
const FACTORS = {
  clay: ({ body }: RoundCell) => body,
  texture: ({ texture }: RoundCell) => textureWord(texture),
  fire: (cell: RoundCell) => fireWords(cell),
} as const;
export type LevelFactor = keyof typeof FACTORS;

/** The verdict on one test across the levels of one factor. */
export interface TestVerdict extends Verdict {
  /** The cell of the first level. */
  readonly label: string;
  readonly words: string;
}

/** What a factor did to the tests of a round. */
export interface FactorVerdict {
  readonly factor: LevelFactor;
  readonly tests: readonly TestVerdict[];
}

/**
 * Whether clay, texture and fire matter, test by test: cells that are glazed alike and differ in that one alone are
 * set against each other.
 */
export function verdictsOf(cells: readonly RoundCell[]): FactorVerdict[] {
  const names = Object.keys(FACTORS) as LevelFactor[];
  return names.flatMap((factor): FactorVerdict[] => {
    if (new Set(cells.map(FACTORS[factor])).size < 2) return [];
    const others = names.filter((name) => name !== factor);
    const groups = new Map<string, RoundCell[]>();
    for (const cell of cells) {
      const stack = cell.stack.map(({ glaze, times, method, bands }) => ({ glaze, times, method, bands }));
      const key = JSON.stringify([stack, ...others.map((name) => FACTORS[name](cell))]);
      groups.set(key, [...(groups.get(key) ?? []), cell]);
    }
    const compared = [...groups.values()].filter((group) => new Set(group.map(FACTORS[factor])).size > 1);
    const tests = compared.map((group): TestVerdict => ({
      ...verdictOf(
        group.map((cell) => ({
          level: FACTORS[factor](cell),
          pieces: cell.pieces.filter(({ step }) => step === 'read').map(seenOf),
        })),
      ),
      label: group[0]!.label,
      words: group[0]!.words,
    }));
    return tests.length ? [{ factor, tests }] : [];
  });
}

function seenOf({ surface, movement, colour, defects }: RoundPiece): SeenPiece {
  return {
    ...{ surface, movement, colour },
    defects: defects.filter(({ severity }) => severity >= 2).map(({ defect }) => defect),
  };
}

/**
 * A factor's verdict in one line, once something is read.
 *
 * @example verdictLine({ factor: 'clay', tests }) // 'The clay matters for 2 of 5 tests.'
 */
export function verdictLine({ factor, tests }: FactorVerdict): string {
  const judged = tests.filter(({ matters }) => matters !== null);
  const mattering = judged.filter(({ matters }) => matters).length;
  const unread = tests.length - judged.length;
  const partly = judged.filter(({ read, of }) => read < of).length;
  const open = [
    ...(unread ? [`${unread} not read yet`] : []),
    ...(partly ? [`${partly} on some only`] : []),
  ].join(', ');
  const said =
    mattering === 0
      ? `The ${factor} hardly matters`
      : tests.length === 1
        ? `The ${factor} matters`
        : `The ${factor} matters for ${mattering} of ${judged.length} tests`;
  return `${said}${open ? ` (${open})` : ''}.`;
}
