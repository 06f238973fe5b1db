'use client';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';

interface Props {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly className?: string | undefined;
}

/** Something that is so or not. */
export function TickField({ label, checked, onChange, className }: Props) {
  return (
    <FormControlLabel
      className={className ?? ''}
      label={label}
      control={
        <Checkbox size="small" checked={checked} onChange={(event) => onChange(event.target.checked)} />
      }
    />
  );
}
