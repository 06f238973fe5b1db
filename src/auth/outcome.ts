import { ZodError } from 'zod';
import { Conflict, NotThere, Refusal } from '@/records/platform';

/** One thing that is wrong, and the field it is wrong with ("coats.1.from"; empty for the whole). */
export interface Fault {
  readonly field: string;
  readonly message: string;
}

/** What a write gives back to a screen: its value, or what was wrong. Nothing was written when it is not ok. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | {
      readonly ok: false;
      readonly faults: readonly Fault[];
      readonly theirs?: Readonly<Record<string, unknown>>;
    };

/** An outcome with one fault. */
export function failed(field: string, message: string): Outcome<never> {
  return { ok: false, faults: [{ field, message }] };
}

/** Turns what a person can mend into faults; anything else is thrown on. */
export function outcomeOf(error: unknown): Outcome<never> {
  if (error instanceof ZodError) {
    return {
      ok: false,
      faults: error.issues.map((issue) => ({ field: issue.path.join('.'), message: issue.message })),
    };
  }
  if (error instanceof Refusal) return failed(error.field, error.message);
  if (error instanceof NotThere) return failed('', error.message);
  if (error instanceof Conflict) {
    return {
      ok: false,
      faults: [{ field: '', message: error.message }],
      theirs: JSON.parse(JSON.stringify(error.theirs)),
    };
  }
  throw error;
}
