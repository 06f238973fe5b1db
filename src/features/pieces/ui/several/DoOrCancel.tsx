'use client';
import Button from '@mui/material/Button';
import { Acts } from '@/ui/kit';

interface Props {
  readonly words: string;
  readonly isDisabled: boolean;
  readonly onDo: () => void;
  readonly onCancel: () => void;
}

/** Ends what is asked before an act on several pieces. */
export function DoOrCancel({ words, isDisabled, onDo, onCancel }: Props) {
  return (
    <Acts>
      <Button variant="contained" disabled={isDisabled} onClick={onDo}>
        {words}
      </Button>
      <Button variant="text" onClick={onCancel}>
        Cancel
      </Button>
    </Acts>
  );
}
