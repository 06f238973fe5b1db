import { capital } from '@/core/units';
import { heatName } from '@/core/vocabulary';
import 'server-only';
import { z } from 'zod';
import { type Db, currentRevision } from '@/records/platform';
import { listGlazes } from '@/records/materials';
import { wallChoices, wallNow } from '@/records/dictionary';
import { chooseWall } from '../model/choose';
import { inOrder, ORDERS } from '../model/order';

const orderSchema = z.object({ order: z.enum(ORDERS).catch('own') });

/**
 * What is on the wall that an address asks for.
 *
 * @param choose what is shown where the address asks for what is not there
 * @param asOf the revision of the records, if it was just asked for
 */
export async function contentOf(base: Db, params: unknown, choose = chooseWall, asOf?: string) {
  const revision = asOf ?? (await currentRevision(base));
  const choices = await wallChoices(base, revision);
  const choice = choose(params, choices);
  return { choices, choice, ...(await wallNow(base, choice, revision)) };
}

/** Everything a wall is drawn from, as its address asks for it; see {@link contentOf}. */
export async function wallOf(base: Db, params: unknown, choose = chooseWall) {
  const [{ choices, choice, entries, text }, glazes] = await Promise.all([
    contentOf(base, params, choose),
    listGlazes(base),
  ]);
  const { order } = orderSchema.parse(params);
  const here = choices.filter((one) => one.cone === choice.cone && one.atmosphere === choice.atmosphere);
  const settings = [
    ...new Map(choices.map(({ cone, atmosphere }) => [cone + atmosphere, { cone, atmosphere }])).values(),
  ];
  const tried = new Set(entries.flatMap((entry) => [entry.baseId, entry.topId]));
  return {
    choice,
    order,
    settings,
    entries,
    /** The same, packed. */
    text,
    grounds: here.map(({ groundId, ground }) => ({ id: groundId, name: ground })),
    /** Glazes with anything on this wall, in the order asked for. */
    glazes: inOrder(
      glazes.filter(({ id }) => tried.has(id)).map(({ id, name, colour }) => ({ id, name, colour })),
      order,
      entries,
    ),
    /** All glazes that a third layer may be. */
    thirds: glazes.filter(({ kind }) => kind === 'glaze').map(({ id, name }) => ({ id, name })),
  };
}

export type Wall = Awaited<ReturnType<typeof wallOf>>;
/** A wall with what is on it packed only. */
export type BlankWall = Omit<Wall, 'entries'>;

/** A wall in words: "Cone 6 oxidation, Buffer White and Cutting Red". */
export function wallWords({ choice, grounds, thirds }: Wall): string {
  const names = choice.grounds.map((id) => grounds.find((ground) => ground.id === id)?.name ?? '?');
  const third = thirds.find(({ id }) => id === choice.third);
  return [
    `${capital(heatName(choice.cone))} ${choice.atmosphere}`,
    names.join(' and '),
    third && `${third.name} over both`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** The parameters of an address kept as text. */
export function paramsOf(search: string): Record<string, string> {
  return Object.fromEntries(new URLSearchParams(search));
}
