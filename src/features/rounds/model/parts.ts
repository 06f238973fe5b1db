import { counted } from '@/core/units';
import { PLAIN_SEVERITY } from '@/core/vocabulary';
import { timesWords } from '@/core/coats';
import {
  targetWords,
  levelWords,
  textureWord,
  verdictsOn,
  type SeenPiece,
  type Verdict,
} from '@/core/rounds';
import type { RoundCell, RoundPiece } from '@/records/rounds';

/** One part of a round: the same tests on one clay, with one treatment, in one target. */
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
    const target = only(list, ({ cone, atmosphere }) => ({ cone, atmosphere }));
    return {
      ...(body !== undefined && { body }),
      ...(texture !== undefined && { texture }),
      ...(target && { target }),
    };
  });
  const words = levelWords(levels, (body) => body);
  return parts.map((list, i) => ({ words: words[i]!, cells: list }));
}

/** What may vary between cells that are glazed alike. */
const FACTORS = {
  clay: ({ body }: RoundCell) => body,
  texture: ({ texture }: RoundCell) => textureWord(texture),
  firing: (cell: RoundCell) => targetWords(cell),
} as const;
export type LevelFactor = keyof typeof FACTORS;
const FACTOR_NAMES = Object.keys(FACTORS) as LevelFactor[];

/** The verdict on one test across the levels of one factor. */
export interface TestVerdict extends Verdict {
  /** What is put on, and what else sets the test apart. */
  readonly words: string;
}

/** What a factor did to the tests of a round. */
export interface FactorVerdict {
  readonly factor: LevelFactor;
  readonly tests: readonly TestVerdict[];
}

/**
 * Whether clay, texture and firing matter, test by test: cells that are glazed alike and differ in that one alone are
 * set against each other.
 */
export function verdictsOf(cells: readonly RoundCell[]): FactorVerdict[] {
  const varying = FACTOR_NAMES.filter((name) => new Set(cells.map(FACTORS[name])).size > 1);
  return varying.flatMap((factor): FactorVerdict[] => {
    const others = varying.filter((name) => name !== factor);
    const levelOf = FACTORS[factor];
    const groups = new Map<string, RoundCell[]>();
    for (const cell of cells) {
      const stack = cell.stack.map(({ glaze, times, method, bands }) => ({ glaze, times, method, bands }));
      const key = JSON.stringify([stack, ...others.map((name) => FACTORS[name](cell))]);
      groups.set(key, [...(groups.get(key) ?? []), cell]);
    }
    const tests = [...groups.values()].filter((group) => new Set(group.map(levelOf)).size > 1);
    const verdicts = verdictsOn(
      tests.map((group) =>
        group.map((cell) => ({ level: levelOf(cell), pieces: cell.pieces.flatMap(seenOn) })),
      ),
    );
    return tests.length
      ? [
          {
            factor,
            tests: tests.map((group, i) => ({ ...verdicts[i]!, words: testWords(group[0]!, others) })),
          },
        ]
      : [];
  });
}

/** What is alike in all cells of a test: what lies on it, bottom first, and its levels of other factors. */
function testWords(cell: RoundCell, others: readonly LevelFactor[]): string {
  const stack = cell.recipe
    ? cell.words
    : cell.stack
        .map(({ name, times }) => (times > 1 ? `${name} ${timesWords(times)}` : name))
        .join(', then ');
  return [stack, ...others.map((name) => FACTORS[name](cell))].join(', ');
}

function seenOn({ step, firingId, surface, movement, colour, defects }: RoundPiece): SeenPiece[] {
  if (step !== 'read' || firingId === null) return [];
  const plain = defects.filter(({ severity }) => severity >= PLAIN_SEVERITY).map(({ defect }) => defect);
  return [{ firing: firingId, surface, movement, colour, defects: plain }];
}

/**
 * A factor's verdict in one line, once something is read.
 *
 * @example verdictLine({ factor: 'clay', tests }) // 'The clay matters for 2 of 5 tests; it may for 1 more.'
 */
export function verdictLine({ factor, tests }: FactorVerdict): string {
  const judged = tests.filter(({ matters }) => matters !== null);
  const count = (which: Verdict['matters']) => judged.filter(({ matters }) => matters === which).length;
  const [plainly, may] = [count('plainly'), count('may')];
  const of = (n: number) => (judged.length > 1 ? ` for ${n} of ${judged.length} tests` : '');
  const said = plainly
    ? `The ${factor} matters${of(plainly)}${may ? `; it may for ${may} more` : ''}`
    : may
      ? `The ${factor} may matter${of(may)}`
      : `The ${factor} hardly matters`;
  const unread = tests.length - judged.length;
  const fewest = Math.min(...judged.map(({ pieces }) => pieces));
  const open = [
    ...(plainly || may ? [] : [`by ${counted(fewest, 'piece')} of each`]),
    ...(unread ? [`${counted(unread, 'test')} not read yet`] : []),
  ];
  return `${said}${open.length ? ` (${open.join(', ')})` : ''}.`;
}
