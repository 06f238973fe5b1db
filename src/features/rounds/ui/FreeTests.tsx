'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { timesWords } from '@/core/coats';
import { PLAIN_PUT, type NamedRecipe, type PatternLayer } from '@/core/rounds';
import { LayerList } from './LayerList';
import type { Setup } from '../model/setup';
import css from './rounds.module.css';

interface Props {
  readonly setup: Setup;
  readonly change: (part: Partial<Setup>) => void;
  readonly stuff: readonly NamedRecipe[];
  readonly places: readonly string[];
}

const FRESH: readonly PatternLayer[] = [{ glaze: '', times: 1, ...PLAIN_PUT }];

/** Tests put together one by one, of up to four layers each. */
export function FreeTests({ setup, change, stuff, places }: Props) {
  const [layers, setLayers] = useState(FRESH);
  const whole = layers.filter(({ glaze }) => glaze);
  const nameOf = (id: string) => stuff.find((one) => one.id === id)?.name ?? '?';
  const add = () => {
    change({ tests: [...setup.tests, { stack: whole }] });
    setLayers(FRESH);
  };
  return (
    <>
      <LayerList
        label="The next test"
        {...{ layers, stuff, places, onChange: setLayers }}
        add="Add a layer above"
      />
      <Button disabled={whole.length === 0} onClick={add}>
        Add this test
      </Button>
      {setup.tests.length > 0 && (
        <ol className={css.tests}>
          {setup.tests.map(({ stack }, i) => (
            <li key={i}>
              {stack
                .map(({ glaze, times, place }) =>
                  [`${nameOf(glaze)} ${timesWords(times)}`, place].filter(Boolean).join(' '),
                )
                .join(', then ')}{' '}
              <Button
                size="small"
                variant="text"
                aria-label={`Remove test ${i + 1}`}
                onClick={() => change({ tests: setup.tests.filter((_, k) => k !== i), out: [], taken: [] })}
              >
                Remove
              </Button>
            </li>
          ))}
        </ol>
      )}
    </>
  );
}
