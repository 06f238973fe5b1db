'use client';
import type { NamedRecipe } from '@/core/rounds';
import { PLAIN_PUT } from '@/core/rounds';
import type { Setup } from '../model/setup';
import { LayerList, PutFields } from './LayerList';
import css from './rounds.module.css';

interface Props {
  readonly setup: Setup;
  readonly change: (part: Partial<Setup>) => void;
  readonly stuff: readonly NamedRecipe[];
  readonly places: readonly string[];
}

/** How every test is glazed: what is tested, and what lies below and above it on all of them. */
export function PatternFields({ setup, change, stuff, places }: Props) {
  const { below, put, putOver, above, kind } = setup;
  const isPlain = [put, putOver].every(
    ({ method, place }) => method === PLAIN_PUT.method && place === PLAIN_PUT.place,
  );
  const isUsual = isPlain && below.length === 0 && above.length === 0;
  const isOverlap = kind === 'overlap';
  return (
    <details className={css.more} open={!isUsual || undefined}>
      <summary>{isUsual ? `Glazing: dipped, ${places[0]}` : 'Glazing'}</summary>
      <LayerList
        label="Below, on every piece"
        {...{ layers: below, stuff, places, add: 'Add a layer below' }}
        onChange={(next) => change({ below: next })}
      />
      <p className={css.tested}>{isOverlap ? 'The two glazes' : 'What is tested'}</p>
      <div className={css.pair}>
        <PutFields
          {...{ put, places, of: isOverlap ? 'Lower: ' : '' }}
          onChange={(next) => change({ put: next })}
        />
        {isOverlap && (
          <PutFields
            {...{ put: putOver, places, of: 'Upper: ' }}
            onChange={(next) => change({ putOver: next })}
          />
        )}
      </div>
      <LayerList
        label="Above, on every piece"
        {...{ layers: above, stuff, places, add: 'Add a layer above' }}
        onChange={(next) => change({ above: next })}
      />
    </details>
  );
}
