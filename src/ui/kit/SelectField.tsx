'use client';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { ReactNode, Ref } from 'react';

/** What a value is called in a list. */
export type OptionWords<T> = readonly (readonly [value: T, words: ReactNode])[];

interface Props<T extends string | number> {
  readonly label: string;
  /** Says what it is to those who hear the page only. */
  readonly isLabelHidden?: boolean;
  readonly options: OptionWords<T>;
  /** Null shows no choice, or the option "" where there is one. */
  readonly value: T | null;
  readonly onChange: (value: T) => void;
  readonly error?: string | undefined;
  readonly isDisabled?: boolean;
  readonly className?: string | undefined;
  readonly inputRef?: Ref<unknown>;
}

/** One of a few, whose words are not their values. */
export function SelectField<T extends string | number>(props: Props<T>) {
  const { label, isLabelHidden, options, value, onChange, error, isDisabled, className, inputRef } = props;
  // The choice "" has words as any other, and they stand in the field.
  const hasNone = options.some(([one]) => one === '');
  return (
    <TextField
      select
      {...(!isLabelHidden && { label })}
      slotProps={{
        ...(isLabelHidden && { htmlInput: { 'aria-label': label } }),
        ...(hasNone && { select: { displayEmpty: true }, inputLabel: { shrink: true } }),
      }}
      {...(inputRef && { inputRef })}
      className={className ?? ''}
      value={value ?? ''}
      onChange={(event) => onChange(event.target.value as T)}
      error={Boolean(error)}
      helperText={error}
      disabled={isDisabled ?? false}
    >
      {options.map(([one, words]) => (
        <MenuItem key={one} value={one}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  );
}
