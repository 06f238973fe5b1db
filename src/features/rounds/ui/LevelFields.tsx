'use client';
import Button from '@mui/material/Button';
import { bodiesVary, textureWord, type Fire } from '@/core/rounds';
import { TEXTURES, type Texture } from '@/core/vocabulary';
import { Choice, SeveralField } from '@/ui/kit';
import { useAtmospheresInUse, useConesInUse } from '@/ui/StudioContext';
import type { Setup } from '../model/setup';
import { Several } from './Several';
import css from './rounds.module.css';

interface Props {
  readonly setup: Setup;
  readonly change: (part: Partial<Setup>) => void;
  readonly bodies: readonly { readonly id: string; readonly name: string }[];
}

const PLAIN = textureWord(null);
const SURFACES: readonly string[] = [PLAIN, ...TEXTURES];

/** What all of a round is repeated on: other clays, textures, other fires. Where several things vary, they are among them. */
export function LevelFields({ setup, change, bodies }: Props) {
  const { kind, alsoOn, textures, alsoAt } = setup;
  const isTogether = kind === 'factorial';
  const isUsual = alsoOn.length === 0 && textures.length === 0 && alsoAt.length === 0;
  const fields = (
    <>
      {!bodiesVary(kind) && (
        <Several
          label="Other clays"
          list={bodies.filter(({ id }) => id !== (setup.bodies[0] ?? bodies[0]?.id))}
          chosen={alsoOn}
          onChange={(next) => change({ alsoOn: next })}
        />
      )}
      <SeveralField
        label="Texture"
        options={SURFACES}
        value={textures.map(textureWord)}
        onChange={(next) =>
          change({ textures: next.map((word) => (word === PLAIN ? null : (word as Texture))) })
        }
      />
      <Fires {...{ setup, change }} />
    </>
  );
  if (isTogether) return fields;
  return (
    <details className={css.more} open={!isUsual || undefined}>
      <summary>{isUsual ? 'The same again elsewhere' : 'All of it on'}</summary>
      {fields}
      <p className="small quiet">
        Each clay, texture and fire makes a part of the round, shown side by side.
      </p>
    </details>
  );
}

function Fires({ setup, change }: Pick<Props, 'setup' | 'change'>) {
  const { alsoAt, cone, atmosphere } = setup;
  const cones = useConesInUse(cone);
  const atmospheres = useAtmospheresInUse(atmosphere);
  const set = (i: number, part: Partial<Fire>) =>
    change({ alsoAt: alsoAt.map((fire, k) => (k === i ? { ...fire, ...part } : fire)) });
  const other = atmospheres.find((one) => one !== atmosphere) ?? atmosphere;
  return (
    <>
      {alsoAt.map((fire, i) => (
        <div key={i} className={css.fire}>
          <Choice
            label="Also at cone"
            options={cones}
            value={fire.cone}
            onChange={(next) => next && set(i, { cone: next })}
          />
          <Choice
            label="Also in"
            options={atmospheres}
            value={fire.atmosphere}
            onChange={(next) => next && set(i, { atmosphere: next })}
          />
          <Button
            size="small"
            variant="text"
            aria-label={`Take fire ${i + 2} out`}
            onClick={() => change({ alsoAt: alsoAt.filter((_, k) => k !== i) })}
          >
            Out
          </Button>
        </div>
      ))}
      <Button size="small" onClick={() => change({ alsoAt: [...alsoAt, { cone, atmosphere: other }] })}>
        Also in another fire
      </Button>
    </>
  );
}
