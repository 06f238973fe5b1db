import { recordChange } from './changes';
import { fromJson, inTransaction, type Db } from './db';
import { Conflict } from './errors';

/** A setting of the studio with its version; the fallback at version 0 until somebody sets it. */
export async function setting<T>(
  base: Db,
  name: string,
  fallback: T,
): Promise<{ value: T; version: number }> {
  const row = await base('setting').where({ name }).first('value', 'version');
  return row ? { value: fromJson<T>(row.value), version: row.version } : { value: fallback, version: 0 };
}

/** Sets a setting. @throws Conflict when somebody set it in between */
export async function saveSetting(
  base: Db,
  memberId: string,
  name: string,
  value: unknown,
  version: number,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const row = await trx('setting').where({ name }).forUpdate().first('value', 'version');
    if ((row?.version ?? 0) !== version)
      throw new Conflict(
        { value: fromJson<unknown>(row?.value ?? null), version: row?.version ?? 0 },
        row?.version ?? 0,
      );
    const next = { value: JSON.stringify(value), version: version + 1 };
    if (row) await trx('setting').where({ name }).update(next);
    else await trx('setting').insert({ name, ...next });
    await recordChange(trx, memberId, 'setting', name, row ? fromJson(row.value) : null, value);
  });
}
