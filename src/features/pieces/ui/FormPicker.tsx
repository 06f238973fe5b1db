'use client';
import Link from 'next/link';
import { useState } from 'react';
import { FORMS, formShape, type Form } from '@/core/vocabulary';
import type { PieceDraft } from '@/records/pieces';
import { RadioCards } from '@/ui/kit';
import { Silhouette } from '@/ui/silhouette';
import { withForm, withOwnForm, type FormChoice } from '../model/draft';
import { offeredForms } from '../model/forms';
import css from './pieces.module.css';

interface Props {
  readonly draft: PieceDraft;
  readonly bodyColour: string;
  /** The studio's own forms. */
  readonly ownForms: readonly FormChoice[];
  /** Forms of the library by how often they are made, most first. */
  readonly inUse: readonly Form[];
  readonly onPick: (next: (before: PieceDraft) => PieceDraft) => void;
}

/** The form of a piece: those that are made here, and the whole library on demand. */
export function FormPicker({ draft, bodyColour, ownForms, inUse, onPick }: Props) {
  const [isWhole, setIsWhole] = useState(false);
  const own = new Map(ownForms.map((form) => [form.id, form]));
  const chosen = draft.formId ?? draft.form;
  const few = offeredForms(chosen, ownForms, inUse);
  const all = [...FORMS, ...own.keys()];
  return (
    <div>
      <RadioCards<string>
        label="Form"
        options={isWhole ? all : few}
        value={chosen}
        onChange={(key) => {
          const form = own.get(key);
          onPick((before) => (form ? withOwnForm(before, form) : withForm(before, key as Form)));
        }}
        groupClassName={css.forms}
        className={css.form}
        card={(key) => {
          const form = own.get(key);
          const shape = form ?? { form: key as Form, ...formShape(key as Form) };
          return (
            <>
              <Silhouette
                {...{ form: shape.form, profile: form?.profile ?? null }}
                {...{ heightMm: shape.heightMm, widthMm: shape.widthMm, bodyColour }}
                coats={[]}
                size={34}
                title=""
              />
              {form?.name ?? key}
            </>
          );
        }}
      />
      <p className={css.more}>
        <button type="button" className={css.link} onClick={() => setIsWhole(!isWhole)}>
          {isWhole ? 'Fewer forms' : `All ${all.length} forms`}
        </button>
        <Link href="/pieces/forms">Studio forms</Link>
      </p>
    </div>
  );
}
