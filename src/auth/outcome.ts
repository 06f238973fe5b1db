import { ZodError } from 'zod';
import { Conflict, NotFound, Refusal } from '@/records/platform';

/** One thing that is wrong, and the field it is wrong with ("coats.1.from"; empty for the whole). */
export interface FieldError {
  readonly field: string;
  readonly message: string;
}

/** Why a write was not done. Screens decide by this, never by the words of a message. */
export type FailureCode =
  | 'signed out'
  /** The session is not that of the member who made the write. */
  | 'other member'
  | 'not allowed'
  /** The input does not fit its schema. */
  | 'invalid'
  /** The records refuse it as things stand. */
  | 'refused'
  | 'not found'
  /** Somebody else wrote first; their values come along. */
  | 'conflict';

export interface Failure {
  readonly ok: false;
  readonly code: FailureCode;
  readonly errors: readonly FieldError[];
  readonly theirs?: Readonly<Record<string, unknown>>;
}

/** What a write gives back to a screen: its value, or what was wrong. Nothing was written when it is not ok. */
export type Outcome<T> = { readonly ok: true; readonly value: T } | Failure;

/** A failure with one error. */
export function failure(code: FailureCode, message: string, field = ''): Failure {
  return { ok: false, code, errors: [{ field, message }] };
}

/** The failure behind an error that a person can do something about; anything else is thrown on. */
export function failureOf(error: unknown): Failure {
  if (error instanceof ZodError) {
    const errors = error.issues.map(({ path, message }) => ({ field: path.join('.'), message }));
    return { ok: false, code: 'invalid', errors };
  }
  if (error instanceof Refusal) return failure('refused', error.message, error.field);
  if (error instanceof NotFound) return failure('not found', error.message);
  if (error instanceof Conflict)
    return {
      ...failure('conflict', error.message),
      theirs: JSON.parse(JSON.stringify(error.theirs)) as Record<string, unknown>,
    };
  throw error;
}
