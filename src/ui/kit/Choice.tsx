'use client';
import { SelectField } from './SelectField';

interface Props<T extends string> {
  readonly label: string;
  readonly options: readonly T[];
  readonly value: T | null;
  readonly onChange: (value: T | null) => void;
  /** The word for "none of them"; absent when one must be chosen. */
  readonly none?: string;
  /** What each is called, where its word is not shown as it is. */
  readonly wordOf?: (option: T) => string;
  readonly error?: string | undefined;
}

/** One of a few words. */
export function Choice<T extends string>({ options, none, wordOf, onChange, ...rest }: Props<T>) {
  const words = options.map((option) => [option, wordOf?.(option) ?? option] as const);
  return (
    <SelectField<T | ''>
      {...rest}
      options={none ? [['', none], ...words] : words}
      onChange={(value) => onChange(value || null)}
    />
  );
}
