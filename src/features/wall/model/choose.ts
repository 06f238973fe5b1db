import { z } from 'zod';
import { labOf } from '@/core/colour';
import type { wallChoices, WallChoice } from '@/records/dictionary';
import type { Usual } from '@/records/pieces';
import { ATMOSPHERES } from '@/core/vocabulary';
import { idSchema } from '@/features/shared/schema';

type Choices = Awaited<ReturnType<typeof wallChoices>>;

const wallSchema = z.object({
  cone: z.string().max(4).optional().catch(undefined),
  atmosphere: z.enum(ATMOSPHERES).optional().catch(undefined),
  left: idSchema.optional().catch(undefined),
  right: idSchema.optional().catch(undefined),
  third: idSchema.optional().catch(undefined),
});

/**
 * Reads the address of the wall. What it leaves open is what the studio has proved most: the cone and
 * atmosphere first, then the two grounds there, the lighter one to the left.
 */
export function chooseWall(params: unknown, choices: Choices): WallChoice {
  const asked = wallSchema.parse(params);
  const best =
    choices.find(
      (one) =>
        (!asked.cone || one.cone === asked.cone) &&
        (!asked.atmosphere || one.atmosphere === asked.atmosphere),
    ) ?? choices[0];
  const { cone, atmosphere } = best ?? { cone: '6', atmosphere: 'oxidation' as const };
  const here = choices.filter((one) => one.cone === cone && one.atmosphere === atmosphere);
  const known = (id: string | undefined) => (here.some((one) => one.groundId === id) ? id : undefined);
  const pair = here.slice(0, 2).sort((a, b) => lightness(b) - lightness(a));
  const left = known(asked.left) ?? pair[0]?.groundId;
  const right =
    known(asked.right) ?? pair.find((one) => one.groundId !== left)?.groundId ?? pair[1]?.groundId;
  return {
    cone,
    atmosphere,
    grounds: [...new Set([left, right])].filter((id) => id !== undefined),
    ...(asked.third && { third: asked.third }),
  };
}

/** An address of the wall that chooses nothing, with what a member mostly makes in its place. */
export function ownWall(
  params: Readonly<Record<string, string>>,
  usual: Pick<Usual, 'cone' | 'atmosphere' | 'groundId'> | null,
): Readonly<Record<string, string>> {
  if (['cone', 'atmosphere', 'left', 'right', 'third'].some((name) => name in params)) return params;
  const own = { cone: usual?.cone, atmosphere: usual?.atmosphere, left: usual?.groundId };
  const known = Object.entries(own).filter((pair): pair is [string, string] => Boolean(pair[1]));
  return { ...Object.fromEntries(known), ...params };
}

/**
 * The wall that an address asks for and no other: where {@link chooseWall} would show another in its place, a wall
 * without grounds, on which nothing is.
 */
export function onlyWall(params: unknown, choices: Choices): WallChoice {
  const { cone, atmosphere, left, right } = wallSchema.parse(params);
  const choice = chooseWall(params, choices);
  const isAsked =
    (!cone || cone === choice.cone) &&
    (!atmosphere || atmosphere === choice.atmosphere) &&
    [left, right].every((id) => !id || choice.grounds.includes(id));
  return isAsked
    ? choice
    : { ...choice, ...(cone && { cone }), ...(atmosphere && { atmosphere }), grounds: [] };
}

/** A slipped ground counts as lighter than its body: white slip on red is the usual pair. */
function lightness(one: Choices[number]): number {
  return labOf(one.colour).l + (one.slips.length ? 40 : 0);
}

/** A wall as an address that shows the same when more is proved. */
export function wallSearch({
  choice,
  order,
}: {
  readonly choice: WallChoice;
  readonly order: string;
}): string {
  const { cone, atmosphere, grounds, third } = choice;
  const [left, right] = grounds;
  const all = { cone, atmosphere, left, right, third, order: order === 'own' ? null : order };
  const known = Object.entries(all).filter((pair): pair is [string, string] => Boolean(pair[1]));
  return new URLSearchParams(known).toString();
}
