import type { Texture } from '../vocabulary';
import type { Cell, Fire, Plan } from './model';

/** What a whole round may be repeated on; a list of one or none is the same for all. */
export interface Levels {
  /** Clay ids. */
  readonly bodies: readonly string[];
  /** What is done to the clay; null for nothing. */
  readonly textures: readonly (Texture | null)[];
  readonly fires: readonly Fire[];
}

/** One part of a round: the same tests on one clay, with one treatment, in one fire. */
export type Level = Pick<Cell, 'body' | 'texture' | 'fire'>;

/** Every combination of clay, texture and fire, in that order. */
export function everyLevel({ bodies, textures, fires }: Levels): Level[] {
  const of = <T>(list: readonly T[]): readonly (T | undefined)[] => (list.length ? list : [undefined]);
  return of(bodies).flatMap((body) =>
    of(textures).flatMap((texture) =>
      of(fires).map((fire) => ({
        ...(body !== undefined && { body }),
        ...(texture !== undefined && { texture }),
        ...(fire !== undefined && { fire }),
      })),
    ),
  );
}

/**
 * The same tests on every level: a part of the round for each. Places keep their code; where there are several parts
 * the part stands before it, "2-B3".
 */
export function repeated(plan: Plan, levels: readonly Level[]): Plan {
  const cells = levels.flatMap((level, block) =>
    plan.cells.map((cell) => ({
      ...cell,
      // What a cell varies by itself wins.
      ...{ ...level, ...pick(cell) },
      block,
      label: levels.length > 1 ? `${block + 1}-${cell.label}` : cell.label,
    })),
  );
  return { ...plan, cells };
}

function pick({ body, texture, fire }: Cell): Level {
  return {
    ...(body !== undefined && { body }),
    ...(texture !== undefined && { texture }),
    ...(fire !== undefined && { fire }),
  };
}

/** What is done to the clay, in words. */
export function textureWord(texture: Texture | null): string {
  return texture ?? 'untextured';
}

/** A fire in words. @example fireWords({ cone: '6', atmosphere: 'oxidation' }) // 'cone 6 oxidation' */
export function fireWords({ cone, atmosphere }: Fire): string {
  return `cone ${cone} ${atmosphere}`;
}

/**
 * What sets each part of a round apart from the others, in words; empty for a round of one part.
 *
 * @param nameOf turns a clay id into its name
 */
export function levelWords(levels: readonly Level[], nameOf: (body: string) => string): string[] {
  const varies = (key: (level: Level) => string | undefined) => new Set(levels.map(key)).size > 1;
  const body = (level: Level) => (level.body === undefined ? undefined : nameOf(level.body));
  const texture = (level: Level) => (level.texture === undefined ? undefined : textureWord(level.texture));
  const fire = (level: Level) => level.fire && fireWords(level.fire);
  const said = [body, texture, fire].filter(varies);
  return levels.map((level) => said.flatMap((of) => of(level) ?? []).join(', '));
}
