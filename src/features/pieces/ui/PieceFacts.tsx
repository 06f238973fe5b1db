'use client';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { fitsNowhere, type KilnRoom } from '@/core/firing';
import { formShape, sideWord, TEXTURES, WANTED_EFFECTS, type DefectId, type Form } from '@/core/vocabulary';
import { QuantityField, SeveralField, WordField } from '@/ui/kit';
import { texturedSides, type BodyChoice, type FormChoice } from '../model/draft';
import { Areas } from './Areas';
import { ClayField } from './ClayField';
import { FormPicker } from './FormPicker';
import type { PieceEditorState } from './usePieceEditor';
import css from './pieces.module.css';

interface Props extends Pick<PieceEditorState, 'draft' | 'change' | 'errorOf' | 'setOutlining'> {
  readonly bodies: readonly BodyChoice[];
  readonly bodyColour: string;
  readonly ownForms: readonly FormChoice[];
  readonly formsInUse: readonly Form[];
  readonly rooms: readonly KilnRoom[];
}

/** What a maker may want, by the defect that it otherwise is. */
const EFFECTS: Readonly<Partial<Record<DefectId, string>>> = WANTED_EFFECTS;
const WANTED = Object.keys(WANTED_EFFECTS) as DefectId[];

/** Form, clay, size and note of a piece. */
export function PieceFacts(props: Props) {
  const { draft, change, errorOf, setOutlining, bodies, bodyColour, ownForms, formsInUse, rooms } = props;
  const hasMore = draft.wanted.length > 0 || Object.values(draft.texture).some((list) => list.length > 0);
  return (
    <section className={css.what} aria-label="Form and clay">
      <FormPicker {...{ draft, bodyColour, ownForms }} inUse={formsInUse} onPick={change} />
      <ClayField
        bodies={bodies}
        value={draft.bodyId}
        onChange={(bodyId) => change((before) => ({ ...before, bodyId }))}
        error={errorOf('bodyId')}
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
      {fitsNowhere(draft, rooms) && (
        <p className="small heat" role="status">
          Larger than any kiln here: check the size.
        </p>
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
      <Areas {...{ draft, change, errorOf, bodies, setOutlining }} />
      <details className={css.details} open={hasMore || undefined}>
        <summary>Texture and wanted effects</summary>
        {texturedSides(draft).map((side, _, sides) => (
          <SeveralField
            key={side}
            label={sides.length > 1 ? `Texture, ${sideWord(draft.form, side)}` : 'Texture'}
            value={draft.texture[side] ?? []}
            onChange={(list) => change((b) => ({ ...b, texture: { ...b.texture, [side]: list } }))}
            options={TEXTURES}
          />
        ))}
        <SeveralField
          label="Wanted effects"
          value={draft.wanted.map((defect) => EFFECTS[defect] ?? defect)}
          onChange={(list) =>
            change((b) => ({ ...b, wanted: WANTED.filter((defect) => list.includes(EFFECTS[defect]!)) }))
          }
          options={Object.values(EFFECTS)}
        />
      </details>
      <WordField
        label="Own number"
        value={draft.ownNumber}
        onChange={(ownNumber) => change((b) => ({ ...b, ownNumber }))}
        error={errorOf('ownNumber')}
      />
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
