'use client';
import Button from '@mui/material/Button';
import type { StudioForm } from '@/records/pieces';
import { FormErrors } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { endForm } from '../actions';
import css from './forms.module.css';

/** Forms that were taken out of the list, to be brought back. */
export function ArchivedForms({ forms }: { readonly forms: readonly Pick<StudioForm, 'id' | 'name'>[] }) {
  const { run, isBusy, errors } = useMutation();
  return (
    <>
      <h2 className={css.heading}>Archived</h2>
      <ul>
        {forms.map(({ id, name }) => (
          <li key={id} className={css.archived}>
            {name}
            <Button
              size="small"
              disabled={isBusy}
              onClick={() => void run(() => endForm({ id, isEnded: false }))}
            >
              Restore {name}
            </Button>
          </li>
        ))}
      </ul>
      <FormErrors errors={errors} />
    </>
  );
}
