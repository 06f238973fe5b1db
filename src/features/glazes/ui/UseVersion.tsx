'use client';
import Button from '@mui/material/Button';
import { FormErrors } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { chooseVersion } from '../actions';

interface Props {
  readonly glazeId: string;
  readonly versionId: string;
  /** "version 2", or with the name of its glaze where that is not plain. */
  readonly words: string;
}

/** Chooses the recipe version that is in use: the dictionary counts its pieces from then on. */
export function UseVersion({ glazeId, versionId, words }: Props) {
  const { run, isBusy, errors } = useMutation();
  return (
    <>
      <Button
        size="small"
        disabled={isBusy}
        title="The dictionary counts the pieces of the version in use; it can be changed back"
        onClick={() => void run(() => chooseVersion({ glazeId, versionId }))}
      >
        Use {words}
      </Button>
      <FormErrors errors={errors} />
    </>
  );
}
