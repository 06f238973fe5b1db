'use client';
import { figures } from '@/core/units';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { differenceOf } from '@/core/recipe';
import { ConflictNotice, FormErrors, TitleRow, WordField } from '@/ui/kit';
import { withBlankEnd } from '../model/glazeDraft';
import { PastePanel } from './PastePanel';
import { RecipeEditor } from './RecipeEditor';
import type { RecipeDeskState } from './useRecipeDesk';
import css from './glaze.module.css';

interface Props {
  readonly of: RecipeDeskState;
  readonly mayChange: boolean;
}

/** The recipe as text: its lines, a pasted one, and what is wrong with it. */
export function RecipeText({ of, mayChange }: Props) {
  const { text, change, take, book, understood } = of;
  const [pasted, setPasted] = useState<string | null>(null);
  return (
    <div>
      <TitleRow>
        <h2>Recipe</h2>
        {mayChange && pasted === null && (
          <Button size="small" onClick={() => setPasted('')}>
            Paste a recipe
          </Button>
        )}
      </TitleRow>
      {pasted !== null && (
        <PastePanel
          pasted={pasted}
          book={book}
          onChange={setPasted}
          onUse={(lines) => {
            setPasted(null);
            take(lines, text.note);
          }}
          onClose={() => setPasted(null)}
        />
      )}
      <RecipeEditor
        text={{ ...text, base: withBlankEnd(text.base), additions: withBlankEnd(text.additions) }}
        understood={understood}
        errors={of.shownErrors}
        book={book}
        onChange={change}
        onPaste={setPasted}
      />
      {understood.whole && (
        <p className="heat" role="alert">
          {understood.whole}
        </p>
      )}
      {of.isOvertaken && (
        <p className="heat" role="status">
          {of.newest.by ?? 'Somebody'} saved version {of.newest.number} while this was open. What you typed is
          still here; the versions below show both.
        </p>
      )}
      <RecipeSave {...of} mayChange={mayChange} />
    </div>
  );
}

/** What somebody else saved first, why it changed, and the button that saves a version. */
function RecipeSave({ mayChange, ...of }: RecipeDeskState & { readonly mayChange: boolean }) {
  const { opened, text, change, understood, changed, save, saved, isBusy, errors, theirs, isKept } = of;
  return (
    <>
      {theirs ? (
        <ConflictNotice
          rows={differenceOf(theirs.lines ?? [], understood.lines).map((row) => ({
            name: row.material,
            mine: row.after === null ? 'none' : figures(row.after, 2),
            theirs: row.before === null ? 'none' : figures(row.before, 2),
          }))}
          onKeepMine={() => void save(theirs)}
        />
      ) : (
        <FormErrors errors={errors} />
      )}
      {mayChange && (
        <div className={css.save}>
          <WordField
            label="What changed, and why"
            value={text.note}
            onChange={(note) => change({ ...text, note })}
          />
          <Button
            variant="contained"
            disabled={isBusy || !changed || understood.lines.length === 0}
            onClick={() => void save()}
            title="Ctrl Enter"
          >
            {isBusy
              ? 'Saving'
              : opened.lines === null
                ? 'Save recipe'
                : `Save as version ${opened.number + 1}`}
          </Button>
        </div>
      )}
      <p role="status" className="small">
        {saved !== null && <span className="good">Saved as version {saved}. </span>}
        {saved !== null && saved !== of.inUse && (
          <>Version {of.inUse} stays in use until you choose another below. </>
        )}
        {isKept && <span className="quiet">Kept on this device, not saved yet.</span>}
      </p>
    </>
  );
}
