'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { CellLayer, NamedRecipe } from '@/core/rounds';
import { Choice } from '@/ui/kit';
import type { Setup } from '../model/setup';
import css from './rounds.module.css';

interface Props {
  readonly setup: Setup;
  readonly change: (part: Partial<Setup>) => void;
  readonly glazes: readonly NamedRecipe[];
}

const TIMES = ['once', 'twice', '3 times'] as const;

/** Tests put together one by one: a glaze, and perhaps another over it, each once or more. */
export function FreeTests({ setup, change, glazes }: Props) {
  const names = glazes.map(({ name }) => name);
  const [under, setUnder] = useState<string | null>(null);
  const [over, setOver] = useState<string | null>(null);
  const [underTimes, setUnderTimes] = useState<(typeof TIMES)[number]>('once');
  const [overTimes, setOverTimes] = useState<(typeof TIMES)[number]>('once');
  const layer = (name: string, times: (typeof TIMES)[number]): CellLayer => ({
    glaze: glazes.find((glaze) => glaze.name === name)!.id,
    times: TIMES.indexOf(times) + 1,
  });
  const add = () => {
    if (!under) return;
    const stack = [layer(under, underTimes), ...(over ? [layer(over, overTimes)] : [])];
    change({ tests: [...setup.tests, { stack }] });
  };
  const nameOf = (id: string) => glazes.find((glaze) => glaze.id === id)?.name ?? '?';
  return (
    <>
      <div className={css.pair} style={{ gridTemplateColumns: '1.7fr 1fr' }}>
        <Choice label="Glaze under" options={names} value={under} onChange={setUnder} />
        <Choice
          label="Dips under"
          options={TIMES}
          value={underTimes}
          onChange={(times) => setUnderTimes(times ?? 'once')}
        />
        <Choice label="Glaze over" options={names} value={over} onChange={setOver} none="nothing" />
        <Choice
          label="Dips over"
          options={TIMES}
          value={overTimes}
          onChange={(times) => setOverTimes(times ?? 'once')}
        />
      </div>
      <Button disabled={!under} onClick={add}>
        Add this test
      </Button>
      <ol>
        {setup.tests.map(({ stack }, i) => (
          <li key={i}>
            {stack.map(({ glaze, times }) => `${nameOf(glaze)} ${TIMES[times - 1]}`).join(', then ')}{' '}
            <Button
              size="small"
              variant="text"
              aria-label={`Take test ${i + 1} out`}
              onClick={() => change({ tests: setup.tests.filter((_, k) => k !== i), out: [], taken: [] })}
            >
              Out
            </Button>
          </li>
        ))}
      </ol>
    </>
  );
}
