import { heatName, type Texture } from '../vocabulary';
import type { Cell, FiringTarget, Plan } from './model';

/** What a whole round may be repeated on; a list of one or none is the same for all. */
export interface Levels {
  /** Clay ids. */
  readonly bodies: readonly string[];
  /** What is done to the clay; null for nothing. */
  readonly textures: readonly (Texture | null)[];
  readonly targets: readonly FiringTarget[];
}

/** One part of a round: the same tests on one clay, with one treatment, at one cone and atmosphere. */
export type Level = Pick<Cell, 'body' | 'texture' | 'target'>;

/** Every combination of clay, texture and target, in that order. */
export function everyLevel({ bodies, textures, targets }: Levels): Level[] {
  const of = <T>(list: readonly T[]): readonly (T | undefined)[] => (list.length ? list : [undefined]);
  return of(bodies).flatMap((body) =>
    of(textures).flatMap((texture) =>
      of(targets).map((target) => ({
        ...(body !== undefined && { body }),
        ...(texture !== undefined && { texture }),
        ...(target !== undefined && { target }),
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

function pick({ body, texture, target }: Cell): Level {
  return {
    ...(body !== undefined && { body }),
    ...(texture !== undefined && { texture }),
    ...(target !== undefined && { target }),
  };
}

/** What is done to the clay, in words. */
export function textureWord(texture: Texture | null): string {
  return texture ?? 'no texture';
}

/** A cone and an atmosphere in words. @example targetWords({ cone: '6', atmosphere: 'oxidation' }) // 'cone 6 oxidation' */
export function targetWords({ cone, atmosphere }: FiringTarget): string {
  return `${heatName(cone)} ${atmosphere}`;
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
  const target = (level: Level) => level.target && targetWords(level.target);
  const said = [body, texture, target].filter(varies);
  return levels.map((level) => said.flatMap((of) => of(level) ?? []).join(', '));
}
