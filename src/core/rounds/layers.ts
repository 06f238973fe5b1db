import type { Texture } from '../vocabulary';
import { factorial } from './factorial';
import { targetWords, textureWord, type Level } from './levels';
import { codeOf, type Cell, type CellLayer, type Corner, type FiringTarget, type Plan } from './model';

/** A cell that lays glazes on each other. */
function laid(
  row: number,
  column: number,
  stack: readonly CellLayer[],
  words: string,
  level: Level = {},
): Cell {
  const all = stack.reduce((sum, layer) => sum + layer.times, 0);
  const parts: Record<string, number> = {};
  for (const { glaze, times } of stack) parts[glaze] = (parts[glaze] ?? 0) + times / all;
  return { label: codeOf(row, column), row, column, words, parts, stack, ...level };
}

const once = (glaze: string): CellLayer => ({ glaze, times: 1 });

/**
 * The ordered overlap grid: every glaze over every other, both orders, base in rows and top in columns, with
 * each alone on the diagonal: N² cells. With `singlesTwice` a last column has each alone twice, N more.
 */
export function overlapGrid(glazes: readonly Corner[], singlesTwice = false): Plan {
  const cells = glazes.flatMap((base, row) => [
    ...glazes.map((top, column) =>
      row === column
        ? laid(row, column, [once(base.name)], `${base.name} once`)
        : laid(row, column, [once(base.name), once(top.name)], `${top.name} over ${base.name}`),
    ),
    ...(singlesTwice
      ? [laid(row, glazes.length, [{ glaze: base.name, times: 2 }], `${base.name} twice`)]
      : []),
  ]);
  return { cells, rows: glazes.length, columns: glazes.length + Number(singlesTwice), shape: 'grid' };
}

/** Each glaze in 1, 2, … coats side by side, to find where more adds nothing or does harm. */
export function coatsLadder(glazes: readonly Corner[], most: number): Plan {
  if (!(Number.isInteger(most) && most >= 1)) throw new RangeError('most must be a whole number ≥ 1');
  const cells = glazes.flatMap(({ name }, row) =>
    Array.from({ length: most }, (_, i) =>
      laid(row, i, [{ glaze: name, times: i + 1 }], `${name} ${countWords(i + 1)}`),
    ),
  );
  return { cells, rows: glazes.length, columns: most, shape: 'grid' };
}

/** Each glaze on each clay, once. */
export function clayComparison(glazes: readonly Corner[], bodies: readonly string[]): Plan {
  const cells = glazes.flatMap(({ name }, row) =>
    bodies.map((body, column) => laid(row, column, [once(name)], `${name} on ${body}`, { body })),
  );
  return { cells, rows: glazes.length, columns: bodies.length, shape: 'grid' };
}

/** One test of a free round. */
export interface FreeTest extends Level {
  readonly stack: readonly CellLayer[];
}

/** How many tests of a free round lie in a row. */
const FREE_ROW = 6;

/** Any tests side by side, in the order given, six in a row. */
export function freeRound(tests: readonly FreeTest[]): Plan {
  const cells = tests.map(({ stack, ...level }, i) => {
    const { body, texture, target } = level;
    const words = [...stack]
      .reverse()
      .map(({ glaze, times }) => (times > 1 ? `${glaze} ${countWords(times)}` : glaze))
      .join(' over ');
    const where = [
      ...(body ? [` on ${body}`] : []),
      ...(texture === undefined ? [] : [`, ${textureWord(texture)}`]),
      ...(target ? [`, ${targetWords(target)}`] : []),
    ];
    return laid(Math.floor(i / FREE_ROW), i % FREE_ROW, stack, words + where.join(''), level);
  });
  const columns = Math.min(FREE_ROW, Math.max(1, tests.length));
  return { cells, rows: Math.max(1, Math.ceil(tests.length / FREE_ROW)), columns, shape: 'grid' };
}

function countWords(times: number): string {
  return ['', 'once', 'twice'][times] ?? `${times} times`;
}

/** What is varied together; a list of one or none is the same for all. */
export interface FactorLevels {
  readonly glazes: readonly Corner[];
  readonly bodies: readonly string[];
  readonly coats: readonly number[];
  readonly textures?: readonly (Texture | null)[];
  readonly targets?: readonly FiringTarget[];
}

/**
 * Several things at once: glazes, clays, coats, textures and targets varied together, each combination or a balanced
 * fraction.
 *
 * @param most tests there is room for
 * @returns the plan, and what can no longer be told apart in it
 * @throws RangeError as {@link factorial}
 */
export function factorialRound(
  { glazes, bodies, coats, textures = [], targets = [] }: FactorLevels,
  most: number,
): { readonly plan: Plan; readonly aliases: readonly string[] } {
  const factors = [
    { name: 'glaze', levels: glazes.map(({ name }) => name) },
    { name: 'clay', levels: bodies },
    { name: 'coats', levels: coats.map(String) },
    { name: 'texture', levels: textures.map(textureWord) },
    { name: 'firing', levels: targets.map(targetWords) },
  ].filter(({ levels }) => levels.length > 1);
  const { runs, aliases } = factorial(factors, most);
  const tests = runs.map((run): FreeTest => {
    const of = <T>(name: string, list: readonly T[]) =>
      list[run[factors.findIndex((factor) => factor.name === name)] ?? 0]!;
    return {
      stack: [{ glaze: of('glaze', glazes).name, times: of('coats', coats) }],
      body: of('clay', bodies),
      ...(textures.length > 1 && { texture: of('texture', textures) }),
      ...(targets.length > 1 && { target: of('firing', targets) }),
    };
  });
  return { plan: freeRound(tests), aliases };
}
