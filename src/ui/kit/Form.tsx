'use client';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import type { FieldValues } from 'react-hook-form';
import { FormErrors } from './FormErrors';
import css from './form.module.css';
import type { SavedForm } from './useSavedForm';

interface Props<Values extends FieldValues, Theirs> {
  readonly of: SavedForm<Values, Theirs>;
  /** What the form is for, for those who hear the page. */
  readonly label: string;
  readonly className?: string | undefined;
  /** What the button says. */
  readonly button: string;
  readonly busy?: string;
  readonly isDisabled?: boolean;
  /** Nothing to save for this member: no button. */
  readonly isReadOnly?: boolean;
  /** A quiet button for a form within a text. */
  readonly isSmall?: boolean;
  /** Stands between the fields and the button, such as what somebody else saved first. */
  readonly notice?: ReactNode;
  /** Stands beside the button. */
  readonly beside?: ReactNode;
  readonly children: ReactNode;
}

/** A form of {@link useSavedForm}: its fields, what is wrong with the whole, and the button that saves. */
export function Form<Values extends FieldValues, Theirs>(props: Props<Values, Theirs>) {
  const { of, label, className, button, busy = 'Saving', isDisabled = false, isSmall = false } = props;
  return (
    <form
      aria-label={label}
      className={className}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void of.submit();
      }}
    >
      {props.children}
      <div className={css.foot}>
        {props.notice ?? <FormErrors errors={of.errors} />}
        {!props.isReadOnly && (
          <Button
            type="submit"
            variant="contained"
            size={isSmall ? 'small' : 'medium'}
            disabled={of.isBusy || isDisabled}
          >
            {of.isBusy ? busy : button}
          </Button>
        )}
        {props.beside && <> {props.beside}</>}
        {of.isRestored && (
          <p className="small quiet">
            Not saved yet; kept on this device.{' '}
            <Button size="small" variant="text" onClick={of.discard}>
              Start again
            </Button>
          </p>
        )}
      </div>
    </form>
  );
}
