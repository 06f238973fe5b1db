import type { Line } from '../chemistry';
import { LADDER_STEP, mixRecipes, normalise, triaxialParts } from '../recipe';
import { codeOf, type Cell, type Corner, type Plan } from './model';

/** A cell that mixes corners. */
function mixed(row: number, column: number, corners: readonly Corner[], parts: readonly number[]): Cell {
  const recipes = corners.flatMap((corner) => (corner.lines ? [corner.lines] : []));
  const words = corners
    .map(({ name }, i) => (parts[i]! > 0 ? `${Math.round(parts[i]! * 100)} % ${name}` : ''))
    .filter(Boolean)
    .join(', ');
  return {
    label: codeOf(row, column),
    row,
    column,
    words,
    parts: Object.fromEntries(corners.map(({ name }, i) => [name, parts[i]!])),
    ...(recipes.length === corners.length && { lines: mixRecipes(recipes, parts) }),
  };
}

/**
 * A line blend: from one glaze to another in equal steps.
 *
 * @param steps cells, both ends included; 5 gives quarters
 * @throws RangeError for fewer than 2 steps
 */
export function lineBlend(ends: readonly [Corner, Corner], steps: number): Plan {
  atLeastTwo(steps, 'steps');
  const cells = Array.from({ length: steps }, (_, i) => {
    const part = i / (steps - 1);
    return mixed(0, i, ends, [1 - part, part]);
  });
  return { cells, rows: 1, columns: steps, shape: 'grid' };
}

/**
 * A triaxial: every mixture of three glazes in equal steps, A at the top.
 *
 * @param steps cells along an edge; 6 gives 21, 11 gives 66
 */
export function triaxial(corners: readonly [Corner, Corner, Corner], steps: number): Plan {
  let row = 0;
  let column = 0;
  const cells = triaxialParts(steps).map((parts) => {
    const cell = mixed(row, column, corners, parts);
    if (column === row) [row, column] = [row + 1, 0];
    else column += 1;
    return cell;
  });
  return { cells, rows: steps, columns: steps, shape: 'triangle' };
}

/**
 * A four-corner grid: A top left, B top right, C bottom left, D bottom right; the parts are bilinear.
 *
 * @example fourCorners([a, b, c, d], 5, 7).cells.length // 35
 */
export function fourCorners(corners: readonly [Corner, Corner, Corner, Corner], columns = 5, rows = 7): Plan {
  atLeastTwo(columns, 'columns');
  atLeastTwo(rows, 'rows');
  const cells = Array.from({ length: rows * columns }, (_, i) => {
    const [row, column] = [Math.floor(i / columns), i % columns];
    const [u, v] = [column / (columns - 1), row / (rows - 1)];
    return mixed(row, column, corners, [(1 - u) * (1 - v), u * (1 - v), (1 - u) * v, u * v]);
  });
  return { cells, rows, columns, shape: 'grid' };
}

/** What one step of a ladder adds, percent of the base. */
export interface LadderAddition {
  readonly material: string;
  readonly step: number;
}

/**
 * An addition series: the base with one or several additions stepping together, upward, and downward where `down` says
 * so. What steps down is taken from the line that the recipe has of it, and goes up on that line.
 *
 * @param steps cells, the base included
 * @param down how many of them lie below the base, 0 to steps − 1
 * @throws RangeError when a step down takes more than there is
 * @example additionLadder(base, [{ material: 'Whiting', step: 2 }], 5, 2) // −4, −2, the base, +2, +4 % whiting
 */
export function additionLadder(
  base: Corner,
  additions: readonly LadderAddition[],
  steps: number,
  down = 0,
): Plan {
  atLeastTwo(steps, 'steps');
  const lines = base.lines && normalise(base.lines);
  const cells = Array.from({ length: steps }, (_, i): Cell => {
    const added = additions.map(({ material, step }) => ({ material, amount: step * (i - down) }));
    return {
      label: codeOf(0, i),
      row: 0,
      column: i,
      words: i === down ? base.name : `${base.name} ${added.map(signedWords).join(' ')}`,
      parts: { [base.name]: 1 },
      ...(lines && {
        lines:
          i === down ? lines : normalise(added.reduce((grown, one) => stepped(grown, one, down > 0), lines)),
      }),
    };
  });
  return { cells, rows: 1, columns: steps, shape: 'grid' };
}

/** The recipe with a step of one material: on top of it, or in a series that goes down too on the line it has of it. */
function stepped(lines: Line[], { material, amount }: Amount, goesDown: boolean): Line[] {
  const own =
    lines.find((line) => line.material === material && line.addition) ??
    lines.find((line) => line.material === material);
  const onTop = goesDown && own ? Boolean(own.addition) : true;
  if (amount < 0 && (own?.amount ?? 0) + amount < -1e-9)
    throw new RangeError(
      `there is only ${Number((own?.amount ?? 0).toFixed(2))} % ${material} in it to be taken out`,
    );
  return withAdded(lines, [{ material, amount }], onTop);
}

/**
 * The base, and then the base without each of its materials in turn: what each is good for.
 *
 * @example leftOut(base).cells.map(({ words }) => words) // ['A', 'A without Potash feldspar', 'A without Silica']
 */
export function leftOut(base: Corner): Plan {
  const lines = base.lines ? normalise(base.lines) : [];
  const cells = [null, ...lines].map((out, i): Cell => ({
    label: codeOf(0, i),
    row: 0,
    column: i,
    words: out ? `${base.name} without ${out.material}` : base.name,
    parts: { [base.name]: 1 },
    lines: out ? normalise(lines.filter((line) => line !== out)) : lines,
  }));
  return { cells, rows: 1, columns: cells.length, shape: 'grid' };
}

/**
 * A crazing ladder: silica and kaolin into the base in equal steps of 1¼ + 1 (common practice, no source).
 *
 * @param steps cells, the base included; 5 ends at 5 + 4
 */
export function crazingRound(base: Corner, steps = 5): Plan {
  atLeastTwo(steps, 'steps');
  const cells = Array.from({ length: steps }, (_, i): Cell => {
    const added = [
      { material: 'Silica', amount: LADDER_STEP.silica * i },
      { material: 'Kaolin', amount: LADDER_STEP.kaolin * i },
    ];
    return {
      label: codeOf(0, i),
      row: 0,
      column: i,
      words: i === 0 ? `${base.name}, control` : `${base.name} + ${added.map(amountWords).join(' + ')}`,
      parts: { [base.name]: 1 },
      ...(base.lines && { lines: normalise(withAdded(normalise(base.lines), i === 0 ? [] : added, false)) }),
    };
  });
  return { cells, rows: 1, columns: steps, shape: 'grid' };
}

interface Amount {
  readonly material: string;
  /** Percent of the base. */
  readonly amount: number;
}

function amountWords({ material, amount }: Amount): string {
  return `${Number(amount.toFixed(2))} % ${material}`;
}

function signedWords({ material, amount }: Amount): string {
  return `${amount < 0 ? '−' : '+'} ${amountWords({ material, amount: Math.abs(amount) })}`;
}

function withAdded(lines: readonly Line[], added: readonly Amount[], onTop: boolean): Line[] {
  return added.reduce<Line[]>(
    (grown, { material, amount }) => {
      const at = grown.findIndex((line) => line.material === material && Boolean(line.addition) === onTop);
      return at === -1
        ? [...grown, { material, amount, ...(onTop && { addition: true }) }]
        : grown.map((line, i) => (i === at ? { ...line, amount: line.amount + amount } : line));
    },
    [...lines],
  );
}

function atLeastTwo(n: number, name: string): void {
  if (!(Number.isInteger(n) && n >= 2)) throw new RangeError(`${name} must be a whole number ≥ 2`);
}
