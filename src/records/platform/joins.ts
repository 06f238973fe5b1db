import type { Knex } from 'knex';
import type { Tables } from 'knex/types/tables';

/** A table of a left join: its columns may be null. */
export interface Maybe<Table extends keyof Tables> {
  readonly maybe: Table;
}

type Aliased = Readonly<Record<string, keyof Tables | Maybe<keyof Tables>>>;

/** A row of a table as it is read. */
type Read<Table extends keyof Tables> = Knex.ResolveTableType<Tables[Table]>;

type RowAt<A extends Aliased, Alias extends keyof A> =
  A[Alias] extends Maybe<infer Table>
    ? { [K in keyof Read<Table>]: Read<Table>[K] | null }
    : A[Alias] extends keyof Tables
      ? Read<A[Alias]>
      : never;

/** The columns that may be asked for: `p.id`, `p.label as piece`, `p.*`. */
type ColumnOf<A extends Aliased> = {
  [Alias in keyof A & string]:
    | `${Alias}.${keyof RowAt<A, Alias> & string}`
    | `${Alias}.${keyof RowAt<A, Alias> & string} as ${string}`
    | `${Alias}.*`;
}[keyof A & string];

/** What one column gives: its name in the answer, and its type. */
type Given<A extends Aliased, Column extends string> = Column extends `${infer Alias}.*`
  ? RowAt<A, Alias>
  : Column extends `${infer Alias}.${infer Name} as ${infer Said}`
    ? { [K in Said]: RowAt<A, Alias>[Name & keyof RowAt<A, Alias>] }
    : Column extends `${infer Alias}.${infer Name}`
      ? { [K in Name]: RowAt<A, Alias>[Name & keyof RowAt<A, Alias>] }
      : never;

type Together<U> = (U extends unknown ? (one: U) => void : never) extends (all: infer All) => void
  ? { [K in keyof All]: All[K] }
  : never;

/** The row that a join gives for some columns. */
export type JoinedRow<A extends Aliased, Column extends string> = Together<
  Column extends string ? Given<A, Column> : never
>;

/**
 * Reads columns of a join. Knex forgets the types of a table under an alias; here they come from the tables that the
 * aliases stand for, and a column that is not there does not compile.
 *
 * @example
 * await rowsOf<{ z: 'zone'; m: Maybe<'member'> }>()(
 *   base('zone as z').leftJoin('member as m', 'm.id', 'z.member_id'), 'z.id', 'm.name as by');
 * // { id: string; by: string | null }[]
 * @typeParam More what the query selects already: sums, counts, columns that are worked out
 */
export function rowsOf<A extends Aliased, More = unknown>() {
  return async <Column extends ColumnOf<A>>(
    query: Knex.QueryBuilder,
    ...columns: readonly Column[]
  ): Promise<(JoinedRow<A, Column> & More)[]> =>
    (await query.select(...columns)) as (JoinedRow<A, Column> & More)[];
}

/** Reads the first row of a join; undefined where there is none. See {@link rowsOf}. */
export function firstOf<A extends Aliased>() {
  return async <Column extends ColumnOf<A>>(
    query: Knex.QueryBuilder,
    ...columns: readonly Column[]
  ): Promise<JoinedRow<A, Column> | undefined> => await query.first(...columns);
}
