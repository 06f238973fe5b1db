'use client';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { BUILT_IN } from '@/core/chemistry';
import { bodiesVary, GLAZES_OF, type NamedRecipe } from '@/core/rounds';
import { Choice, NumberField } from '@/ui/kit';
import { FreeTests } from './FreeTests';
import { LevelFields } from './LevelFields';
import { PatternFields } from './PatternFields';
import { Several } from './Several';
import type { Setup } from '../model/setup';
import css from './rounds.module.css';

interface Props {
  readonly setup: Setup;
  readonly change: (part: Partial<Setup>) => void;
  readonly glazes: readonly NamedRecipe[];
  readonly bodies: readonly { readonly id: string; readonly name: string }[];
  /** What the usual places of the form are called. */
  readonly places: readonly string[];
}

const NTH_GLAZE = ['First glaze', 'Second glaze', 'Third glaze', 'Fourth glaze'];

/** What a kind of round varies: its glazes, clays, steps and additions. */
export function Varies({ setup, change, glazes, bodies, places }: Props) {
  const { least, most } = GLAZES_OF[setup.kind];
  const many = most > 4;
  const setGlaze = (i: number, name: string | null) => {
    const id = glazes.find((glaze) => glaze.name === name)?.id;
    const next = [...setup.glazes];
    if (id) next[i] = id;
    change({ glazes: next });
  };
  const corners = ['line', 'triaxial', 'corners'].includes(setup.kind);
  const stepped = ['line', 'triaxial', 'ladder', 'crazing', 'coats'].includes(setup.kind);
  return (
    <div className={css.varies}>
      <h2>What varies</h2>
      {many ? (
        <Several
          label="Glazes"
          list={glazes}
          chosen={setup.glazes}
          onChange={(next) => change({ glazes: next })}
        />
      ) : (
        Array.from({ length: least }, (_, i) => (
          <Choice
            key={i}
            label={corners ? NTH_GLAZE[i]! : 'Base glaze'}
            options={glazes.map((glaze) => glaze.name)}
            value={glazes.find((glaze) => glaze.id === setup.glazes[i])?.name ?? null}
            onChange={(name) => setGlaze(i, name)}
          />
        ))
      )}
      {bodiesVary(setup.kind) && (
        <Several
          label="Clays"
          list={bodies}
          chosen={setup.bodies}
          onChange={(next) => change({ bodies: next })}
        />
      )}
      {setup.kind === 'free' && <FreeTests {...{ setup, change, stuff: glazes, places }} />}
      {stepped && (
        <NumberField
          label={
            setup.kind === 'triaxial'
              ? 'Cells along an edge'
              : setup.kind === 'coats'
                ? 'Up to how many coats?'
                : 'Number of tiles, including both ends'
          }
          value={setup.steps}
          onChange={(steps) => steps && steps >= 1 && change({ steps: Math.round(steps) })}
        />
      )}
      <Counts setup={setup} change={change} />
      {setup.kind === 'overlap' && (
        <FormControlLabel
          control={
            <Switch
              checked={setup.singlesTwice}
              onChange={(event) => change({ singlesTwice: event.target.checked })}
            />
          }
          label="Also each glaze alone, twice"
        />
      )}
      {setup.kind === 'ladder' && <Additions setup={setup} change={change} />}
      {setup.kind === 'without' && (
        <p className="small quiet">The first tile is the control; each of the others lacks one material.</p>
      )}
      {setup.kind === 'crazing' && (
        <p className="small quiet">
          1¼ % silica and 1 % kaolin more at each step: a gloss stays a gloss. The first tile is the control.
        </p>
      )}
      {setup.kind !== 'free' && <PatternFields {...{ setup, change, stuff: glazes, places }} />}
      <LevelFields {...{ setup, change, bodies }} />
    </div>
  );
}

type PartProps = Pick<Props, 'setup' | 'change'>;

function Counts({ setup, change }: PartProps) {
  return (
    <>
      {setup.kind === 'corners' && (
        <div className={css.pair}>
          <NumberField
            label="Across"
            value={setup.columns}
            onChange={(n) => n && change({ columns: Math.round(n) })}
          />
          <NumberField
            label="Down"
            value={setup.rows}
            onChange={(n) => n && change({ rows: Math.round(n) })}
          />
        </div>
      )}
      {setup.kind === 'factorial' && (
        <NumberField
          label="Room for how many tests?"
          value={setup.most}
          onChange={(most) => most && most >= 2 && change({ most: Math.round(most) })}
        />
      )}
    </>
  );
}

function Additions({ setup, change }: PartProps) {
  return (
    <>
      {setup.additions.map((addition, i) => (
        <div key={i} className={css.pair}>
          <Autocomplete
            freeSolo
            options={BUILT_IN.materials.map((material) => material.name)}
            inputValue={addition.material}
            onInputChange={(_, material) =>
              change({ additions: setup.additions.map((one, k) => (k === i ? { ...one, material } : one)) })
            }
            renderInput={(params) => <TextField {...params} label="Adding" />}
          />
          <NumberField
            label="% more each step"
            value={addition.step}
            onChange={(step) =>
              change({
                additions: setup.additions.map((one, k) => (k === i ? { ...one, step: step ?? 0 } : one)),
              })
            }
          />
        </div>
      ))}
      <NumberField
        label="Steps below the base"
        value={setup.down}
        onChange={(down) => change({ down: Math.max(0, Math.round(down ?? 0)) })}
      />
      <Button
        size="small"
        onClick={() => change({ additions: [...setup.additions, { material: '', step: 1 }] })}
      >
        Another addition
      </Button>
    </>
  );
}
