'use client';
import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { liesOn } from '@/core/coats';
import {
  CLAY_STATES,
  formShape,
  METHODS,
  reachMm,
  sideWord,
  STUFF,
  type ClayState,
  type Side,
} from '@/core/vocabulary';
import type { CoatDraft, PieceDraft } from '@/records/pieces';
import { NumberField, QuantityField, SelectField, SeveralField, TickField } from '@/ui/kit';
import { coatOn } from '../model/areas';
import { BLANK, fractionOf, otherGlaze, sidesFor, type FormChoice, type GlazeChoice } from '../model/draft';
import { presetsFor } from '../model/presets';
import { CoverFields } from './CoverFields';
import css from './pieces.module.css';

const NOT_KNOWN = 'not known';
const NOT_NOTED = 'not noted';

/** What stands before the name of an area among the sides. */
const ON_AREA = 'area ';

/** Whether what lies below was dry; nothing until somebody says so. */
const DRY = { '': null, dry: true, wet: false } as const;

interface Props {
  readonly coat: CoatDraft;
  readonly index: number;
  readonly draft: PieceDraft;
  readonly bands: FormChoice['bands'];
  readonly glazes: readonly GlazeChoice[];
  readonly errorOf: (field: string) => string | undefined;
  readonly onChange: (change: Partial<CoatDraft>) => void;
  /** Puts the coat in a usual place, which may take another one with it. */
  readonly onPut: (put: (draft: PieceDraft) => PieceDraft) => void;
}

/** All that is said of one coat. */
export function CoatFields({ coat, index, draft, bands, glazes, errorOf, onChange, onPut }: Props) {
  const glaze = glazes.find(({ id }) => id === coat.glazeId);
  const error = (key: keyof CoatDraft) => errorOf(`coats.${index}.${key}`);
  const hasVersions = (glaze?.versions.length ?? 0) > 1;
  return (
    <div className={css.coatFields}>
      <div className={css.presets} role="group" aria-label="Usual places">
        {presetsFor(draft, bands).map(({ name, put }) => (
          <button key={name} type="button" onClick={() => onPut((before) => put(before, index))}>
            {name}
          </button>
        ))}
      </div>
      <GlazeField {...{ glaze, glazes }} onChange={(next) => onChange(otherGlaze(coat, next))} />
      <SelectField
        label="How"
        value={coat.method}
        onChange={(method) => onChange({ method })}
        options={METHODS.map((method) => [method, method] as const)}
      />
      <NumberField
        label="Times"
        value={coat.times}
        onChange={(times) => onChange({ times: times ?? 0 })}
        error={error('times')}
      />
      <NumberField
        label="Seconds"
        value={coat.seconds}
        onChange={(seconds) => onChange({ seconds })}
        error={error('seconds')}
      />
      {glaze && STUFF[glaze.kind] && (
        <>
          <NumberField
            label="Grams"
            value={coat.grams}
            onChange={(grams) => onChange({ grams })}
            error={error('grams')}
          />
          <NumberField
            label="How many"
            value={coat.pieces}
            onChange={(pieces) => onChange({ pieces })}
            error={error('pieces')}
          />
        </>
      )}
      {coat.area === null && <Edges {...{ coat, draft, error, onChange }} />}
      <CoatPlace {...{ coat, draft, onChange }} />
      <CoverFields
        {...{ coat, draft, onChange }}
        errorOf={(field) => errorOf(`coats.${index}.cover.${field}`)}
      />
      {glaze && glaze.batches.length > 0 && (
        <SelectField
          label="Batch"
          value={coat.batchId ?? ''}
          onChange={(batchId) => onChange({ batchId: batchId || null })}
          options={[
            ['', NOT_KNOWN],
            ...glaze.batches.map(
              ({ id, code, versionNumber }) =>
                [id, hasVersions ? `${code}, version ${versionNumber}` : code] as const,
            ),
          ]}
        />
      )}
      {glaze && hasVersions && coat.batchId === null && (
        <SelectField
          label="Recipe version"
          value={coat.versionId ?? glaze.versionId}
          onChange={(versionId) => onChange({ versionId })}
          error={error('versionId')}
          options={glaze.versions.map(
            ({ id, number }) => [id, id === glaze.versionId ? `${number}, in use` : String(number)] as const,
          )}
        />
      )}
      {glaze && (
        <SelectField<ClayState | ''>
          label="Clay was"
          value={coat.clay ?? ''}
          onChange={(clay) => onChange({ clay: clay || null })}
          options={[
            ['', NOT_NOTED],
            ...CLAY_STATES.map((state) => [state, state === 'dry' ? 'nearly dry' : state] as const),
          ]}
        />
      )}
      {index > 0 && (
        <SelectField<keyof typeof DRY>
          label="Coat below"
          value={coat.dryBefore === null ? '' : coat.dryBefore ? 'dry' : 'wet'}
          onChange={(dry) => onChange({ dryBefore: DRY[dry] })}
          options={[
            ['', NOT_NOTED],
            ['dry', 'dry to the touch'],
            ['wet', 'still wet'],
          ]}
        />
      )}
      {(glaze?.kind === 'wash' || coat.wiped) && (
        <TickField
          className={css.wide}
          label="Wiped back"
          checked={coat.wiped}
          onChange={(wiped) => onChange({ wiped })}
        />
      )}
      {glaze?.advice && <p className={`${css.wide} small`}>{glaze.advice}</p>}
    </div>
  );
}

/** Where a coat begins and ends: from the foot up, or, as bowls are measured, from the rim down. */
function Edges({
  coat,
  draft,
  error,
  onChange,
}: Pick<Props, 'coat' | 'draft' | 'onChange'> & {
  readonly error: (key: 'from' | 'to') => string | undefined;
}) {
  const { fromRim, plan } = formShape(draft.form);
  const [isFromRim, setIsFromRim] = useState(fromRim);
  const reach = reachMm(draft);
  const shown = (edge: 'from' | 'to') => (isFromRim ? 1 - coat[edge] : coat[edge]) * reach;
  const kept = (mm: number | null) => {
    const at = fractionOf(mm, draft);
    return isFromRim && at !== BLANK ? 1 - at : at;
  };
  const words = isFromRim ? { to: 'Below the rim', from: 'Down to' } : { from: 'From', to: 'To' };
  const edges = isFromRim ? (['to', 'from'] as const) : (['from', 'to'] as const);
  return (
    <>
      {edges.map((edge) => (
        <QuantityField
          key={`${edge} ${isFromRim}`}
          dimension="length"
          label={words[edge]}
          value={coat[edge] === BLANK ? null : Number(shown(edge).toFixed(3))}
          onChange={(mm) => onChange({ [edge]: kept(mm) })}
          error={error(edge)}
        />
      ))}
      <p className={css.measured}>
        <button type="button" className={css.link} onClick={() => setIsFromRim(!isFromRim)}>
          {isFromRim ? `Measure from the ${plan ? 'centre' : 'foot'}` : 'Measure from the rim'}
        </button>
      </p>
    </>
  );
}

/** The side or the area that a coat lies on, and the areas that it was kept off. */
function CoatPlace({
  coat,
  draft,
  onChange,
}: {
  coat: CoatDraft;
  draft: PieceDraft;
  onChange: (change: Partial<CoatDraft>) => void;
}) {
  const sides = sidesFor(draft);
  const kept =
    coat.area === null
      ? draft.areas.filter((area) => liesOn({ side: coat.side, not: [] }, area)).map(({ name }) => name)
      : [];
  return (
    <>
      {sides.length + draft.areas.length > 1 && (
        <SelectField
          label="Side"
          value={coat.area === null ? coat.side : `${ON_AREA}${coat.area}`}
          onChange={(place) =>
            onChange(
              coatOn(
                draft,
                place.startsWith(ON_AREA) ? { area: place.slice(ON_AREA.length) } : { side: place as Side },
              ),
            )
          }
          options={[
            ...sides.map(
              (side) =>
                [
                  side as string,
                  side === 'outside' && draft.split ? 'both halves' : sideWord(draft.form, side),
                ] as const,
            ),
            ...draft.areas.map(({ name }) => [`${ON_AREA}${name}`, name] as const),
          ]}
        />
      )}
      {kept.length > 0 && (
        <SeveralField
          label="Kept off"
          value={coat.not}
          onChange={(not) => onChange({ not })}
          options={kept}
          className={css.wide}
        />
      )}
    </>
  );
}

interface GlazeFieldProps {
  readonly glaze: GlazeChoice | undefined;
  readonly glazes: readonly GlazeChoice[];
  readonly onChange: (glaze: GlazeChoice) => void;
}

/** What a coat is of, to be changed in its place. */
function GlazeField({ glaze, glazes, onChange }: GlazeFieldProps) {
  return (
    <Autocomplete
      className={css.wide}
      size="small"
      disableClearable
      options={glazes}
      getOptionLabel={(one) => one.name}
      groupBy={(one) => one.kind}
      {...(glaze && { value: glaze })}
      autoHighlight
      onChange={(_, next) => onChange(next)}
      renderInput={(params) => <TextField {...params} label="Glaze" />}
    />
  );
}
