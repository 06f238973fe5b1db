'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useMemo, useState } from 'react';
import {
  useForm,
  type Control,
  type DefaultValues,
  type FieldPath,
  type FieldValues,
  type Resolver,
  type UseFormReturn,
} from 'react-hook-form';
import type { z } from 'zod';
import type { FieldError, Outcome } from '@/auth';
import { dropFromDevice, keepOnDevice, readFromDevice, type Slot } from '../deviceStorage';
import { useMemberId } from '../MemberContext';
import { useMutation, type OverTheWire } from '../useMutation';

/** A record as it stands in its form: a number that is not typed yet is null. */
export type FormValues<T> = {
  [K in keyof T]: T[K] extends number ? number | null : T[K];
};

interface Options<Values extends FieldValues, Output, Saved> {
  /** What the server accepts; the same schema checks here first. */
  readonly schema: z.ZodType<Output>;
  /** What stands in the fields at first. */
  readonly values: Values;
  /** Where what was typed is kept on this device until it is saved; nothing is kept without it. */
  readonly draft?: { readonly key: string; readonly version?: number };
  /** The name under which the server reports errors of a field: `kiln` for `kiln.name`. */
  readonly under?: string;
  /** Writes what was typed; `version` is the one it replaces. */
  readonly save: (output: Output, version: number | null) => Promise<Outcome<Saved>>;
  /** The version that the fields show; null for something new or without versions. */
  readonly version?: number | null;
  /** Called with what was saved, after the draft is dropped. */
  readonly onSaved?: (output: Output) => void;
}

/** A form that saves; see {@link useSavedForm}. */
export interface SavedForm<Values extends FieldValues, Theirs = unknown> {
  readonly form: UseFormReturn<Values, unknown, never>;
  readonly control: Control<Values, unknown, never>;
  /** Checks and saves; over another's version where one is given. */
  readonly submit: (over?: number) => Promise<void>;
  readonly isBusy: boolean;
  /** What is wrong with the whole, not with one field. */
  readonly errors: readonly FieldError[];
  /** What somebody else saved first. */
  readonly theirs: OverTheWire<Theirs> | null;
  /** Whether the fields show what was typed before the page was closed. */
  readonly isRestored: boolean;
  /** Forgets what was typed. */
  readonly discard: () => void;
}

/**
 * The one way forms work: react-hook-form, checked by the schema the server checks with, saved by a typed action. Errors
 * of the server stand at their fields; what was typed is kept on the device for the member until it is saved.
 *
 * @typeParam Theirs the record that a conflict gives
 */
export function useSavedForm<Values extends FieldValues, Output, Saved, Theirs extends object = object>({
  schema,
  values,
  draft,
  under,
  save,
  version = null,
  onSaved,
}: Options<Values, Output, Saved>): SavedForm<Values, Theirs> {
  const { run, isBusy, errors, theirs } = useMutation<Theirs>();
  const [isRestored, setIsRestored] = useState(false);
  const form = useForm<Values, unknown, never>({
    // The resolver's types follow the schema's input; a number that is not typed yet makes ours wider.
    resolver: zodResolver(schema as never) as unknown as Resolver<Values, unknown, never>,
    defaultValues: values as DefaultValues<Values>,
  });
  const slot = useSlot(draft);
  useEffect(() => {
    if (!slot) return;
    const kept = readFromDevice<Values>(slot);
    if (kept) {
      form.reset(kept, { keepDefaultValues: true });
      // The device's store is only there after the first paint.
      // eslint-disable-next-line react-hooks/set-state-in-effect
      setIsRestored(true);
    }
    return form.subscribe({
      formState: { values: true, isDirty: true },
      callback: ({ values: typed, isDirty }) => {
        if (isDirty) keepOnDevice(slot, typed);
        else dropFromDevice(slot);
      },
    });
  }, [slot, form]);
  const discard = () => {
    form.reset(values);
    if (slot) dropFromDevice(slot);
    setIsRestored(false);
  };
  const write = async (output: Output, over: number | null) => {
    const outcome = await run(async () => {
      const answer = await save(output, over);
      if (!answer.ok) showAtFields(form, answer.errors, under);
      return answer;
    });
    if (outcome === undefined) return;
    if (slot) dropFromDevice(slot);
    setIsRestored(false);
    onSaved?.(output);
  };
  const submit = (over?: number) => form.handleSubmit((output) => write(output as Output, over ?? version))();
  const whole = errors.filter((error) => fieldOf(form, error, under) === null);
  return { form, control: form.control, submit, isBusy, errors: whole, theirs, isRestored, discard };
}

function useSlot(draft: Options<FieldValues, unknown, unknown>['draft']): Slot | null {
  const owner = useMemberId();
  const key = draft?.key;
  const version = draft?.version ?? 1;
  return useMemo(() => (key === undefined ? null : { owner, key, version }), [owner, key, version]);
}

/** The field of a form that an error of the server is about; null when it is about the whole. */
function fieldOf<Values extends FieldValues>(
  form: UseFormReturn<Values, unknown, never>,
  { field }: FieldError,
  under: string | undefined,
): FieldPath<Values> | null {
  const path = under && field.startsWith(`${under}.`) ? field.slice(under.length + 1) : field;
  const first = path.split('.')[0]!;
  return first && first !== 'id' && first in form.getValues() ? (path as FieldPath<Values>) : null;
}

function showAtFields<Values extends FieldValues>(
  form: UseFormReturn<Values, unknown, never>,
  errors: readonly FieldError[],
  under: string | undefined,
): void {
  for (const error of errors) {
    const field = fieldOf(form, error, under);
    if (field) form.setError(field, { message: error.message }, { shouldFocus: true });
  }
}
