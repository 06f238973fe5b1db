'use client';
import DeleteOutline from '@mui/icons-material/DeleteOutlined';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { MOST_LAYERS, PLAIN_PUT, type NamedRecipe, type PatternLayer, type PutOn } from '@/core/rounds';
import { METHODS, STUFF, type GlazeKind, type Method } from '@/core/vocabulary';
import { Choice, SelectField } from '@/ui/kit';
import css from './rounds.module.css';

interface PutProps {
  readonly put: PutOn;
  /** What the places on the form are called, the usual one first. */
  readonly places: readonly string[];
  readonly onChange: (put: PutOn) => void;
  /** Stands before the labels where there are several. */
  readonly of?: string;
}

/** How something is put on, and where. */
export function PutFields({ put, places, onChange, of = '' }: PutProps) {
  return (
    <>
      <SelectField<Method>
        label={`${of}Method`}
        options={METHODS.map((method) => [method, method] as const)}
        value={put.method}
        onChange={(method) => onChange({ ...put, method })}
      />
      <SelectField<string>
        label={`${of}Where`}
        className={css.where}
        options={places.map((place, i) => [i === 0 ? '' : place, place] as const)}
        value={places.includes(put.place) ? put.place : ''}
        onChange={(place) => onChange({ ...put, place })}
      />
    </>
  );
}

interface ListProps {
  readonly label: string;
  readonly layers: readonly PatternLayer[];
  readonly stuff: readonly NamedRecipe[];
  readonly places: readonly string[];
  readonly onChange: (layers: readonly PatternLayer[]) => void;
  /** What one more is called on its button. */
  readonly add: string;
}

const TIMES = [1, 2, 3, 4, 5, 6] as const;

/** How a kind is put on as a rule: slips and washes are brushed. */
function methodOf(kind: GlazeKind): Method {
  return STUFF[kind] ?? (kind === 'glaze' ? 'dip' : 'brush');
}

/** Layers of a test, the first put on first: what, how often, how and where. */
export function LayerList({ label, layers, stuff, places, onChange, add }: ListProps) {
  const nameOf = (id: string) => stuff.find((one) => one.id === id)?.name ?? null;
  const change = (i: number, part: Partial<PatternLayer>) =>
    onChange(layers.map((layer, k) => (k === i ? { ...layer, ...part } : layer)));
  return (
    <div role="group" aria-label={label} className={css.layers}>
      {layers.map((layer, i) => (
        <div key={i} className={css.layer}>
          <div className={css.what}>
            <Choice
              label={`Layer ${i + 1}`}
              options={stuff.map(({ name }) => name)}
              value={nameOf(layer.glaze)}
              onChange={(name) => {
                const found = stuff.find((one) => one.name === name);
                if (found) change(i, { glaze: found.id, method: methodOf(found.kind) });
              }}
            />
            <IconButton
              size="small"
              aria-label={`Remove layer ${i + 1}`}
              title="Remove layer"
              onClick={() => onChange(layers.filter((_, k) => k !== i))}
            >
              <DeleteOutline fontSize="small" />
            </IconButton>
          </div>
          <SelectField<number>
            label="Coats"
            options={TIMES.map((times) => [times, String(times)] as const)}
            value={layer.times}
            onChange={(times) => change(i, { times })}
          />
          <PutFields put={layer} places={places} onChange={(put) => change(i, put)} />
        </div>
      ))}
      {layers.length < MOST_LAYERS && (
        <Button size="small" onClick={() => onChange([...layers, { glaze: '', times: 1, ...PLAIN_PUT }])}>
          {add}
        </Button>
      )}
    </div>
  );
}
