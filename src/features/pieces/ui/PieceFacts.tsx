'use client';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { FORMS, formShape, TEXTURES } from '@/core/vocabulary';
import type { PieceDraft } from '@/records/pieces';
import { QuantityField, RadioCards, SelectField, SeveralField, WordField } from '@/ui/kit';
import { Silhouette } from '@/ui/Silhouette';
import { texturedSides, withForm, type BodyChoice } from '../model/draft';
import { Areas } from './Areas';
import type { PieceEditorState } from './usePieceEditor';
import css from './pieces.module.css';

interface Props extends Pick<PieceEditorState, 'draft' | 'change' | 'errorOf'> {
  readonly bodies: readonly BodyChoice[];
  readonly bodyColour: string;
}

/** Form, clay, size and note of a piece. */
export function PieceFacts({ draft, change, errorOf, bodies, bodyColour }: Props) {
  return (
    <section className={css.what} aria-label="Form and clay">
      <FormPicker
        draft={draft}
        bodyColour={bodyColour}
        onPick={(form) => change((before) => withForm(before, form))}
      />
      <SelectField
        label="Clay"
        value={draft.bodyId}
        onChange={(bodyId) => change((before) => ({ ...before, bodyId }))}
        error={errorOf('bodyId')}
        options={bodies.map((body) => [
          body.id,
          <span key={body.id}>
            <span className={css.chip} style={{ background: body.colour, marginRight: 8 }} />
            {body.name}
          </span>,
        ])}
      />
      {formShape(draft.form).plan ? (
        <QuantityField
          dimension="length"
          label="Across"
          value={draft.widthMm}
          onChange={(mm) => change((b) => ({ ...b, widthMm: mm ?? NaN, heightMm: mm ?? NaN }))}
          error={errorOf('widthMm')}
        />
      ) : (
        <div className={css.pair}>
          <QuantityField
            dimension="length"
            label="Height"
            value={draft.heightMm}
            onChange={(mm) => change((b) => ({ ...b, heightMm: mm ?? NaN }))}
            error={errorOf('heightMm')}
          />
          <QuantityField
            dimension="length"
            label="Width"
            value={draft.widthMm}
            onChange={(mm) => change((b) => ({ ...b, widthMm: mm ?? NaN }))}
            error={errorOf('widthMm')}
          />
        </div>
      )}
      {formShape(draft.form).canSplit && (
        <FormControlLabel
          control={
            <Switch
              checked={draft.split}
              onChange={(event) =>
                change((b) => ({
                  ...b,
                  split: event.target.checked,
                  coats: b.coats.map((c) => ({ ...c, side: 'outside' as const })),
                }))
              }
            />
          }
          label="Left and right halves differ"
        />
      )}
      {texturedSides(draft).map((side, _, sides) => (
        <SeveralField
          key={side}
          label={sides.length > 1 ? `Texture, ${side}` : 'Texture'}
          value={draft.texture[side] ?? []}
          onChange={(list) => change((b) => ({ ...b, texture: { ...b.texture, [side]: list } }))}
          options={TEXTURES}
        />
      ))}
      <Areas {...{ draft, change, errorOf }} />
      <WordField
        label="Note"
        multiline
        minRows={2}
        value={draft.note}
        onChange={(note) => change((b) => ({ ...b, note }))}
        error={errorOf('note')}
      />
    </section>
  );
}

function FormPicker({
  draft,
  bodyColour,
  onPick,
}: {
  draft: PieceDraft;
  bodyColour: string;
  onPick: (form: PieceDraft['form']) => void;
}) {
  return (
    <RadioCards
      label="Form"
      options={FORMS}
      value={draft.form}
      onChange={onPick}
      groupClassName={css.forms}
      className={css.form}
      card={(form) => (
        <>
          <Silhouette
            form={form}
            {...formShape(form)}
            bodyColour={bodyColour}
            coats={[]}
            size={34}
            title=""
          />
          {form}
        </>
      )}
    />
  );
}
