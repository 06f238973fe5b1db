import { rowsOf } from '@/records/platform/joins';
import { agreementOf, type Agreement } from '@/core/evidence';
import { fromJson, type Db } from '@/records/platform/db';
import { apartFor, seenOf, type ProofRow } from './entries';

/** What the proofs of an entry show that were made with the same recipe versions. */
export interface VersionSense {
  /** The versions in words, "Limewash version 2"; glazes of which all proofs have one version are left out. */
  readonly made: string;
  readonly isInUse: boolean;
  /** The one version that would have to be chosen for these to count; null for those in use, and for several. */
  readonly choice: { readonly glazeId: string; readonly versionId: string; readonly words: string } | null;
  /** Of these proofs alone; those of missed cones and of other atmospheres are not counted here either. */
  readonly summary: Agreement;
}

/**
 * What an entry shows by recipe version, those in use first, by entry. An entry whose proofs are all of the versions in
 * use has none.
 *
 * @param rows of proofs, see `proofRows`
 */
export async function versionSenses(
  base: Db,
  rows: readonly ProofRow[],
  defectsOf: (readingId: string) => Parameters<typeof seenOf>[1],
  inUse: ReadonlySet<string>,
): Promise<Map<string, VersionSense[]>> {
  const versionsOf = (row: ProofRow) => fromJson<string[]>(row.versions);
  const mixed = new Set(
    rows.filter((row) => versionsOf(row).some((id) => !inUse.has(id))).map(({ entry_id }) => entry_id),
  );
  const names = await versionNames(base, [
    ...new Set(rows.filter((row) => mixed.has(row.entry_id)).flatMap(versionsOf)),
  ]);
  return new Map(
    [...mixed].map((entryId) => {
      const own = rows.filter((row) => row.entry_id === entryId);
      const sets = [...new Set(own.map(({ versions }) => versions))];
      const common = versionsOf(own[0]!).filter((id) => own.every((row) => versionsOf(row).includes(id)));
      const senses = sets.map((set): VersionSense => {
        const ids = fromJson<string[]>(set);
        const others = ids.filter((id) => !inUse.has(id));
        const [only] = others;
        const told = ids.filter((id) => sets.length === 1 || !common.includes(id));
        const seen = own
          .filter(({ versions }) => versions === set)
          .map((row) => ({
            ...seenOf(row, defectsOf(row.reading_id), inUse),
            counts: (apartFor(row, inUse) ?? 'other version') === 'other version',
          }));
        return {
          made: told.map((id) => names.get(id)!.words).join(', '),
          isInUse: others.length === 0,
          choice: others.length === 1 ? { versionId: only!, ...names.get(only!)! } : null,
          summary: agreementOf(seen),
        };
      });
      return [
        entryId,
        senses.sort((a, b) => Number(b.isInUse) - Number(a.isInUse) || a.made.localeCompare(b.made)),
      ];
    }),
  );
}

async function versionNames(base: Db, ids: readonly string[]) {
  const rows = await rowsOf<{ v: 'glaze_version'; g: 'glaze' }>()(
    base('glaze_version as v').join('glaze as g', 'g.id', 'v.glaze_id').whereIn('v.id', ids),
    'v.id',
    'v.number',
    'g.id as glazeId',
    'g.name',
  );
  return new Map(
    rows.map(({ id, glazeId, name, number }) => [id, { glazeId, words: `${name} version ${number}` }]),
  );
}
