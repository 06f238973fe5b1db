import { fromJson } from './db';
import type { Flag } from './tables';

/** A field that is not kept as it is: its column, and how a value becomes the other. */
export interface Codec<C, V> {
  readonly column: C;
  read(value: never): V;
  write(value: V): unknown;
}

type ColumnFor<R, V> = { [C in keyof R]: R[C] extends V ? C : never }[keyof R] & string;

/**
 * Where each field of `T` is kept in a row `R`: the name of a column whose values fit the field, or a codec. Written
 * as a type for every field, so that one that is forgotten, and one kept in a column of another kind, do not compile.
 */
export type Mapping<T, R> = {
  readonly [K in keyof T]-?: ColumnFor<R, T[K]> | Codec<keyof R & string, T[K]>;
};

/** A field kept as 0 or 1. */
export function flag<C extends string>(column: C): Codec<C, boolean> {
  return { column, read: (value: Flag) => value === 1, write: (value) => value };
}

/** A field kept as 0, 1 or null for what nobody noted. */
export function flagOrNull<C extends string>(column: C): Codec<C, boolean | null> {
  return {
    column,
    read: (value: Flag | null) => (value === null ? null : value === 1),
    write: (value) => value,
  };
}

/** A day as a column gives it, midnight in Greenwich, as text: "2026-11-27". */
export function dayText(day: Date): string {
  return day.toISOString().slice(0, 10);
}

/** A field kept as a day: "2026-11-27". */
export function day<C extends string>(column: C): Codec<C, string> {
  return { column, read: dayText, write: (value) => value };
}

/** A field kept as a day, or null. */
export function dayOrNull<C extends string>(column: C): Codec<C, string | null> {
  return {
    column,
    read: (value: Date | null) => value && dayText(value),
    write: (value) => value,
  };
}

/** A field kept as JSON text; null stays null. */
export function json<V>() {
  return <C extends string>(column: C): Codec<C, V> => ({
    column,
    read: (value: string | null) => (value === null ? (null as V) : fromJson<V>(value)),
    write: (value) => (value === null ? null : JSON.stringify(value)),
  });
}

type AnyMapping = Readonly<Record<string, string | Codec<string, unknown>>>;

/** The record that a row holds. */
export function readRow<T, R extends object>(mapping: Mapping<T, R>, row: R): T {
  const values = row as Readonly<Record<string, unknown>>;
  const fields = Object.entries(mapping as AnyMapping).map(([field, at]) => [
    field,
    typeof at === 'string' ? values[at] : at.read(values[at.column] as never),
  ]);
  return Object.fromEntries(fields) as T;
}

/** The columns of those fields of a record that are given; what is not a field of the mapping is left aside. */
export function toRow<T, R extends object>(mapping: Mapping<T, R>, record: Partial<T>): Partial<R> {
  const values = record as Readonly<Record<string, unknown>>;
  const columns = Object.entries(mapping as AnyMapping)
    .filter(([field]) => values[field] !== undefined)
    .map(([field, at]) =>
      typeof at === 'string' ? [at, values[field]] : [at.column, at.write(values[field])],
    );
  return Object.fromEntries(columns) as Partial<R>;
}
