'use client';
import { FULLNESSES, type Fullness } from '@/core/vocabulary';
import type { Firing } from '@/records/firings';
import { FormErrors, ToggleRow } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { saveFullness } from '../actions';
import css from './firings.module.css';

const WORDS: Readonly<Record<Fullness, string>> = {
  quarter: '¼',
  half: '½',
  'three quarters': '¾',
  full: 'full',
};

/** How full the kiln is, with one tap: a part-empty one fires and cools faster and reduces less. */
export function FullnessRow({ firing }: { firing: Firing }) {
  const { run, isBusy, errors } = useMutation();
  return (
    <>
      <h3>How full is it?</h3>
      <ToggleRow<Fullness | ''>
        label="How full the kiln is"
        className={css.reached}
        value={firing.fullness ?? ''}
        onChange={(next) =>
          !isBusy && next && void run(() => saveFullness({ firingId: firing.id, fullness: next }))
        }
        options={FULLNESSES.map((one) => [one, WORDS[one]] as const)}
      />
      <FormErrors errors={errors} />
    </>
  );
}
