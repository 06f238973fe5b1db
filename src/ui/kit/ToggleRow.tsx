'use client';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { ReactNode } from 'react';
import type { OptionWords } from './SelectField';

interface Props<T extends string> {
  /** What is chosen, for those who hear the page. */
  readonly label: string;
  readonly options: OptionWords<T>;
  readonly value: T;
  readonly onChange: (value: T) => void;
  readonly size?: 'small' | 'medium';
  readonly className?: string | undefined;
}

/** One of a few, as a row of buttons of which one is down. */
export function ToggleRow<T extends string>({ label, options, value, onChange, size, className }: Props<T>) {
  return (
    <ToggleButtonGroup
      exclusive
      aria-label={label}
      value={value}
      size={size ?? 'medium'}
      className={className ?? ''}
      onChange={(_, next: T | null) => next !== null && onChange(next)}
    >
      {options.map(([one, words]: readonly [T, ReactNode]) => (
        <ToggleButton key={one} value={one}>
          {words}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
