import type { ClayMix } from '@/core/vocabulary';
import { inTransaction, newId, type Db } from '@/records/platform/db';
import { found } from '@/records/platform/errors';
import { insertRow } from '@/records/platform/write';
import { BODY, type MadeOf } from './bodies';

/** A clay that is asked for by what it is made of. */
export interface MixedBody {
  readonly how: ClayMix;
  /** The clays in it; of an inlaid one the ground first. */
  readonly bodyIds: readonly string[];
  /** What is stirred in, with percent of the dry clay; for a stained one only. */
  readonly stain: string | null;
  readonly percent: number | null;
}

/**
 * The clay that is made of others, or of one with something in it: a ground of its own, of which nobody has measured
 * anything. Found when it was made before, else added with its name and its colours between those of its clays.
 *
 * @returns its id
 * @throws NotFound for a clay that is not there
 */
export async function ensureMixedBody(base: Db, memberId: string, mix: MixedBody): Promise<string> {
  return inTransaction(base, async (trx) => {
    // Two people who make the same clay at once make one.
    await trx('body').whereIn('id', mix.bodyIds).orderBy('id').forUpdate().select('id');
    const bodies = [];
    for (const id of mix.bodyIds) bodies.push(found(await trx('body').where({ id }).first(), 'This clay'));
    const names = bodies.map(({ name }) => name);
    const name = nameOf(mix, names);
    const known = await trx('body').where({ name }).first('id');
    if (known) return known.id;
    const { how, bodyIds, stain, percent } = mix;
    const madeOf: MadeOf = { how, bodyIds, stain, percent };
    const iron = bodies.map((body) => body.iron);
    const id = newId();
    await insertRow(trx, memberId, 'body', BODY, {
      ...{ id, name, madeOf, note: '', expansion: null, shrinkage: null, absorption: null },
      colourOxidation: between(bodies.map((body) => body.colour_oxidation)),
      colourReduction: between(bodies.map((body) => body.colour_reduction)),
      iron: iron.includes(null)
        ? null
        : iron.includes('high')
          ? 'high'
          : iron.includes('low')
            ? 'low'
            : 'none',
      coarse: bodies.some(({ coarse }) => coarse === 1),
      coneFrom: null,
      coneTo: null,
    });
    return id;
  });
}

/** "Buffer White and Cutting Red, marbled"; "Buffer White with 5 % Points Cobalt". */
function nameOf({ how, stain, percent }: MixedBody, names: readonly string[]): string {
  if (how === 'stained') return `${names[0]!} with ${percent!} % ${stain!}`;
  if (how === 'inlaid') return `${names[0]!} inlaid with ${names.slice(1).join(' and ')}`;
  return `${[...names].sort().join(' and ')}, ${how}`;
}

/** The colour half way between others, "#rrggbb". */
function between(colours: readonly string[]): string {
  const channel = (at: number) => {
    const sum = colours.reduce((all, colour) => all + parseInt(colour.slice(at, at + 2), 16), 0);
    return Math.round(sum / colours.length)
      .toString(16)
      .padStart(2, '0');
  };
  return `#${[1, 3, 5].map(channel).join('')}`;
}
