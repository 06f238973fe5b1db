'use client';
import ArrowDownward from '@mui/icons-material/ArrowDownward';
import ArrowUpward from '@mui/icons-material/ArrowUpward';
import DeleteOutline from '@mui/icons-material/DeleteOutlined';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { CLAY_STATES, METHODS } from '@/core/vocabulary';
import { timesWords } from '@/core/coats';
import type { CoatDraft, PieceDraft } from '@/records/pieces';
import { NumberField } from '@/ui/kit';
import { sidesFor, type GlazeChoice } from '../model/draft';
import css from './pieces.module.css';

interface Props {
  readonly draft: PieceDraft;
  readonly glazes: readonly GlazeChoice[];
  readonly selected: number;
  readonly firingNames: ReadonlyMap<string, string>;
  readonly errorOf: (field: string) => string | undefined;
  readonly onSelect: (index: number) => void;
  readonly onChange: (index: number, change: Partial<CoatDraft>) => void;
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
                  {coat.method === 'dip' ? timesWords(coat.times) : `${coat.method} ${coat.times}×`}
                  {coat.side !== 'outside' && `, ${coat.side}`}
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
              />
            )}
          </li>
        );
      })}
    </ol>
  );
}

function CoatFields({
  coat,
  index,
  draft,
  glaze,
  errorOf,
  onChange,
}: {
  coat: CoatDraft;
  index: number;
  draft: PieceDraft;
  glaze: GlazeChoice | undefined;
  errorOf: Props['errorOf'];
  onChange: (change: Partial<CoatDraft>) => void;
}) {
  const error = (key: keyof CoatDraft) => errorOf(`coats.${index}.${key}`);
  const sides = sidesFor(draft);
  return (
    <div className={css.coatFields}>
      <TextField
        select
        label="How"
        value={coat.method}
        onChange={(event) => onChange({ method: event.target.value as CoatDraft['method'] })}
      >
        {METHODS.map((method) => (
          <MenuItem key={method} value={method}>
            {method}
          </MenuItem>
        ))}
      </TextField>
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
      <NumberField
        label="From, cm"
        value={tenth(coat.from * draft.heightMm)}
        onChange={(cm) => onChange({ from: fractionOf(cm, draft) })}
        error={error('from')}
      />
      <NumberField
        label="To, cm"
        value={tenth(coat.to * draft.heightMm)}
        onChange={(cm) => onChange({ to: fractionOf(cm, draft) })}
        error={error('to')}
      />
      {sides.length > 1 && (
        <TextField
          select
          label="Side"
          value={coat.side}
          onChange={(event) => onChange({ side: event.target.value as CoatDraft['side'] })}
        >
          {sides.map((side) => (
            <MenuItem key={side} value={side}>
              {side === 'outside' && draft.split ? 'both halves' : side}
            </MenuItem>
          ))}
        </TextField>
      )}
      {glaze && glaze.batches.length > 0 && (
        <TextField
          select
          label="Batch"
          value={coat.batchId ?? ''}
          onChange={(event) => onChange({ batchId: event.target.value || null })}
        >
          <MenuItem value="">not known</MenuItem>
          {glaze.batches.map((batch) => (
            <MenuItem key={batch.id} value={batch.id}>
              {batch.code}
            </MenuItem>
          ))}
        </TextField>
      )}
      {glaze?.kind === 'slip' && (
        <TextField
          select
          label="Clay was"
          value={coat.clay ?? ''}
          onChange={(event) => onChange({ clay: (event.target.value || null) as CoatDraft['clay'] })}
        >
          <MenuItem value="">not known</MenuItem>
          {CLAY_STATES.map((state) => (
            <MenuItem key={state} value={state}>
              {state === 'dry' ? 'nearly dry' : state}
            </MenuItem>
          ))}
        </TextField>
      )}
      {index > 0 && (
        <FormControlLabel
          className={css.wide}
          control={
            <Checkbox
              size="small"
              checked={coat.dryBefore ?? false}
              onChange={(event) => onChange({ dryBefore: event.target.checked })}
            />
          }
          label="Coat below dry to touch"
        />
      )}
      {(glaze?.kind === 'wash' || coat.wiped) && (
        <FormControlLabel
          className={css.wide}
          control={
            <Checkbox
              size="small"
              checked={coat.wiped}
              onChange={(event) => onChange({ wiped: event.target.checked })}
            />
          }
          label="Wiped back"
        />
      )}
      {glaze?.advice && <p className={`${css.wide} small`}>{glaze.advice}</p>}
    </div>
  );
}

function tenth(mm: number): number {
  return Math.round(mm) / 10;
}

/** Centimetres from the foot as a fraction of the height; blank and nonsense stay out of range to be refused. */
function fractionOf(cm: number | null, draft: PieceDraft): number {
  return cm === null ? -1 : Math.abs(cm * 10 - draft.heightMm) < 0.5 ? 1 : (cm * 10) / draft.heightMm;
}
