import { random } from '../../demo/random';
import { hexOf, type Lab } from '../../src/core/colour';
import { newId } from '@/records/platform';
import { dip, fired, tile, type Studio } from '../records/studio';

const ROWS = 2000;

/**
 * Fills a studio with generated pieces, two read zones each: one real piece for every pair of glazes makes
 * the entries, the rest are rows written straight beside them.
 */
export async function fillStudio(studio: Studio, glazes: readonly string[], count: number): Promise<void> {
  const { base } = studio;
  const entries = await entriesFor(studio, glazes);
  const hue = random('colours');
  const centres = new Map(
    entries.map((id) => [id, { l: 15 + 75 * hue(), a: 40 * (hue() - 0.5), b: 50 * (hue() - 0.4) }]),
  );
  const [firing] = await base('firing').orderBy('id', 'desc').limit(1);
  const next = random('fill');
  const [{ last }] = (await base('piece').max('number as last')) as [{ last: number }];
  const at = new Date();
  for (let done = 0; done < count; done += ROWS) {
    const pieces = Array.from({ length: Math.min(ROWS, count - done) }, (_, i) =>
      pieceRow(studio, last + 1 + done + i, at),
    );
    const zones = pieces.flatMap(({ id }) =>
      [0, 0.5].map((from) => zoneRow(id, firing!.id, entries[Math.floor(next() * entries.length)]!, from)),
    );
    const readings = zones.map((zone) =>
      readingRow(zone, studio.member, next(), at, colourNear(centres.get(zone.entry_id)!, next)),
    );
    await base.transaction(async (trx) => {
      await trx('piece').insert(pieces);
      await trx('firing_piece').insert(
        pieces.map(({ id }, i) => ({
          firing_id: firing!.id,
          piece_id: id,
          shelf: 1,
          place: 1000 + done + i,
          state: 'read' as const,
          at,
        })),
      );
      await trx('zone').insert(zones);
      await trx('reading').insert(readings);
    });
  }
  await base('series').update({ next: last + count + 1 });
  await base.raw(
    'update entry set proofs = (select count(*) from zone where zone.entry_id = entry.id), agreeing = proofs, first_at = ?, summary = ?',
    [at, SUMMARY],
  );
  for (const [id, centre] of centres)
    await base('entry')
      .where({ id })
      .update({ colour: hexOf(centre) });
  // Every write is noted; these were not.
  await base('change').insert({ id: newId(), at, what: 'fill', row_id: entries[0]! });
  await base.raw('analyze table entry, zone, reading, piece');
}

/** A summing-up of proofs that all agree. */
const SUMMARY = JSON.stringify({
  ...({ proofs: 1, agreeing: 1, differing: [], surface: 'gloss', movement: 'stable' } as const),
  ...{ colour: null, spread: null, defects: [] },
});

/** A colour as twins scatter. */
function colourNear({ l, a, b }: Lab, next: () => number): string {
  const off = () => 4 * (next() - 0.5);
  return hexOf({ l: l + off(), a: a + off(), b: b + off() });
}

async function entriesFor(studio: Studio, glazes: readonly string[]): Promise<string[]> {
  const drafts = glazes.flatMap((below) =>
    glazes.map((over) => tile(studio, [dip(below, 0, 1), dip(over, 0.5, 1)])),
  );
  await fired(studio, drafts);
  return (await studio.base('entry').select('id')).map((row) => row.id);
}

function pieceRow({ bodyId, member }: Studio, number: number, at: Date) {
  return {
    id: newId(),
    label: `SW-${number}`,
    number,
    form: 'tile' as const,
    height_mm: 100,
    width_mm: 60,
    body_id: bodyId,
    split: false,
    twin_key: 'x'.repeat(43),
    member_id: member,
    made_at: at,
    note: '',
    stage: 'read' as const,
  };
}

function zoneRow(pieceId: string, firingId: string, entryId: string, from: number) {
  return {
    id: newId(),
    piece_id: pieceId,
    firing_id: firingId,
    entry_id: entryId,
    filed_by: firingId,
    side: 'outside' as const,
    from,
    to: from + 0.5,
    versions: '[]',
  };
}

function readingRow(
  zone: ReturnType<typeof zoneRow>,
  memberId: string,
  chance: number,
  at: Date,
  colour: string,
) {
  return {
    id: newId(),
    zone_id: zone.id,
    firing_id: zone.firing_id,
    piece_id: zone.piece_id,
    stage: 'after' as const,
    surface: chance < 0.8 ? ('gloss' as const) : ('satin' as const),
    movement: 'stable' as const,
    colour,
    note: '',
    member_id: memberId,
    at,
  };
}
