'use client';
import ArrowDownward from '@mui/icons-material/ArrowDownward';
import ArrowUpward from '@mui/icons-material/ArrowUpward';
import DeleteOutline from '@mui/icons-material/DeleteOutlined';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import { CLAY_STATES, METHODS, reachMm, type ClayState, type Side } from '@/core/vocabulary';
import { layerWords, liesOn, wayOf } from '@/core/coats';
import type { CoatDraft, PieceDraft } from '@/records/pieces';
import { NumberField, QuantityField, SelectField, SeveralField } from '@/ui/kit';
import { coatOn } from '../model/areas';
import { presetsFor } from '../model/presets';
import { BLANK, fractionOf, sidesFor, type GlazeChoice } from '../model/draft';
import css from './pieces.module.css';

interface Props {
  readonly draft: PieceDraft;
  readonly glazes: readonly GlazeChoice[];
  readonly selected: number;
  readonly firingNames: ReadonlyMap<string, string>;
  readonly errorOf: (field: string) => string | undefined;
  readonly onSelect: (index: number) => void;
  readonly onChange: (index: number, change: Partial<CoatDraft>) => void;
  /** Puts a coat in a usual place, which may take another one with it. */
  readonly onPut: (put: (draft: PieceDraft) => PieceDraft) => void;
  readonly onMove: (index: number, by: -1 | 1) => void;
  readonly onRemove: (index: number) => void;
}

/** The coats in the order they go on; the chosen one is open, the others are a line each. */
export function CoatList({
  draft,
  glazes,
  selected,
  firingNames,
  errorOf,
  onSelect,
  onChange,
  onPut,
  onMove,
  onRemove,
}: Props) {
  const glazeOf = (id: string) => glazes.find((glaze) => glaze.id === id);
  return (
    <ol className={css.coats}>
      {draft.coats.map((coat, i) => {
        const glaze = glazeOf(coat.glazeId);
        const error = Object.keys(coat).some((key) => errorOf(`coats.${i}.${key}`));
        return (
          <li key={i} className={css.coat} data-open={i === selected || undefined}>
            <div className={css.coatHead}>
              <button
                type="button"
                className={css.coatName}
                onClick={() => onSelect(i)}
                aria-expanded={i === selected}
              >
                <span className="figures">{i + 1}</span>
                <span className={css.chip} style={{ background: glaze?.colour ?? 'var(--bare)' }} />
                <b>{glaze?.name ?? 'Choose a glaze'}</b>
                <span className={error ? 'heat small' : 'quiet small'}>
                  {layerWords({ times: coat.times, way: wayOf(coat.method) })}
                  {coat.area !== null ? `, ${coat.area}` : coat.side !== 'outside' && `, ${coat.side}`}
                  {coat.not.length > 0 && `, not on ${coat.not.join(' and ')}`}
                  {coat.firingId && `, in ${firingNames.get(coat.firingId) ?? 'an earlier firing'}`}
                </span>
              </button>
              {i === selected && (
                <span className={css.coatTools}>
                  <IconButton
                    size="small"
                    onClick={() => onMove(i, -1)}
                    disabled={i === 0}
                    aria-label="Apply earlier"
                    title="Apply earlier"
                  >
                    <ArrowUpward fontSize="small" />
                  </IconButton>
                  <IconButton
                    size="small"
                    onClick={() => onMove(i, 1)}
                    disabled={i === draft.coats.length - 1}
                    aria-label="Apply later"
                    title="Apply later"
                  >
                    <ArrowDownward fontSize="small" />
                  </IconButton>
                  <IconButton
                    size="small"
                    onClick={() => onRemove(i)}
                    aria-label={`Remove coat ${i + 1}`}
                    title="Remove coat"
                  >
                    <DeleteOutline fontSize="small" />
                  </IconButton>
                </span>
              )}
            </div>
            {i === selected && (
              <CoatFields
                coat={coat}
                index={i}
                draft={draft}
                glaze={glaze}
                errorOf={errorOf}
                onChange={(change) => onChange(i, change)}
                onPut={onPut}
              />
            )}
          </li>
        );
      })}
    </ol>
  );
}

const NOT_KNOWN = 'not known';
const NOT_NOTED = 'not noted';

/** What stands before the name of an area among the sides. */
const ON_AREA = 'area ';

/** Whether what lies below was dry; nothing until somebody says so. */
const DRY = { '': null, dry: true, wet: false } as const;

function CoatFields({
  coat,
  index,
  draft,
  glaze,
  errorOf,
  onChange,
  onPut,
}: {
  coat: CoatDraft;
  index: number;
  draft: PieceDraft;
  glaze: GlazeChoice | undefined;
  errorOf: Props['errorOf'];
  onChange: (change: Partial<CoatDraft>) => void;
  onPut: Props['onPut'];
}) {
  const error = (key: keyof CoatDraft) => errorOf(`coats.${index}.${key}`);
  const hasVersions = (glaze?.versions.length ?? 0) > 1;
  return (
    <div className={css.coatFields}>
      <div className={css.presets} role="group" aria-label="Usual places">
        {presetsFor(draft).map(({ name, put }) => (
          <button key={name} type="button" onClick={() => onPut((before) => put(before, index))}>
            {name}
          </button>
        ))}
      </div>
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
      {coat.area === null &&
        (['from', 'to'] as const).map((edge) => (
          <QuantityField
            key={edge}
            dimension="length"
            label={edge === 'from' ? 'From' : 'To'}
            value={coat[edge] === BLANK ? null : Number((coat[edge] * reachMm(draft)).toFixed(3))}
            onChange={(mm) => onChange({ [edge]: fractionOf(mm, draft) })}
            error={error(edge)}
          />
        ))}
      <CoatPlace {...{ coat, draft, onChange }} />
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
        <Tick label="Wiped back" checked={coat.wiped} onChange={(wiped) => onChange({ wiped })} />
      )}
      {glaze?.advice && <p className={`${css.wide} small`}>{glaze.advice}</p>}
    </div>
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
              (side) => [side as string, side === 'outside' && draft.split ? 'both halves' : side] as const,
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

interface TickProps {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
}

function Tick({ label, checked, onChange }: TickProps) {
  return (
    <FormControlLabel
      className={css.wide}
      control={
        <Checkbox size="small" checked={checked} onChange={(event) => onChange(event.target.checked)} />
      }
      label={label}
    />
  );
}
