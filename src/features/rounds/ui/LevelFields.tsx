'use client';
import Button from '@mui/material/Button';
import { bodiesVary, textureWord } from '@/core/rounds';
import { TEXTURES, type Texture, heatShort } from '@/core/vocabulary';
import { Choice, SeveralField } from '@/ui/kit';
import { useAtmospheresInUse, useHeatsInUse } from '@/ui/StudioContext';
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

/** What all of a round is repeated on: other clays, textures, firings. Where several things vary, they are among them. */
export function LevelFields({ setup, change, bodies }: Props) {
  const { kind, alsoOn, textures, alsoAt } = setup;
  const isTogether = kind === 'factorial';
  const isRepeated = alsoOn.length > 0 || textures.length > 0 || alsoAt.length > 0;
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
      <Targets {...{ setup, change }} />
    </>
  );
  if (isTogether) return fields;
  return (
    <details className={css.more} open={isRepeated || undefined}>
      <summary>Repeat all of it</summary>
      {fields}
      <p className="small quiet">
        Each clay, texture and firing is a part of the round; the parts stand side by side.
      </p>
    </details>
  );
}

function Targets({ setup, change }: Pick<Props, 'setup' | 'change'>) {
  const { alsoAt, cone, atmosphere } = setup;
  const heats = useHeatsInUse(cone);
  const atmospheres = useAtmospheresInUse(atmosphere);
  const set = (i: number, part: Partial<(typeof alsoAt)[number]>) =>
    change({ alsoAt: alsoAt.map((target, k) => (k === i ? { ...target, ...part } : target)) });
  return (
    <>
      {alsoAt.map((target, i) => (
        <div key={i} className={css.target}>
          <Choice
            label="Also at cone"
            options={heats}
            wordOf={heatShort}
            value={target.cone}
            onChange={(next) => set(i, { cone: next })}
          />
          <Choice
            label="Also in"
            options={atmospheres}
            value={target.atmosphere}
            onChange={(next) => set(i, { atmosphere: next })}
          />
          <Button
            size="small"
            variant="text"
            aria-label={`Remove firing ${i + 2}`}
            onClick={() => change({ alsoAt: alsoAt.filter((_, k) => k !== i) })}
          >
            Remove
          </Button>
        </div>
      ))}
      <Button size="small" onClick={() => change({ alsoAt: [...alsoAt, { cone: null, atmosphere: null }] })}>
        Add another firing
      </Button>
    </>
  );
}
