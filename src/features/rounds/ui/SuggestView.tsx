'use client';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { ulid } from 'ulid';
import { formShape, heatName, heatShort } from '@/core/vocabulary';
import { useAtmospheresInUse, useHeatsInUse } from '@/ui/StudioContext';
import { freeRound } from '@/core/rounds';
import { Acts, Choice, FormErrors, NumberField, PageHeader, WordField } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { Bands } from './TrayCell';
import { Swatch } from '@/ui/Swatch';
import { useMutation } from '@/ui/useMutation';
import { useAddress } from '@/ui/useAddress';
import { layOutRound } from '../actions';
import type { SuggestQuery } from '../model/suggestQuery';
import type { Suggestion } from '../model/suggest';
import css from './rounds.module.css';

interface Props {
  readonly asked: SuggestQuery;
  readonly suggestions: readonly Suggestion[];
  readonly bodies: readonly { readonly id: string; readonly name: string }[];
}

/** So many free places: which tests are worth the clay, each with its reason; change the list and accept it. */
export function SuggestView({ asked, suggestions, bodies }: Props) {
  const heats = useHeatsInUse(asked.cone);
  const atmospheres = useAtmospheresInUse(asked.atmosphere);
  const router = useRouter();
  const { change } = useAddress();
  const [out, setOut] = useState<readonly string[]>([]);
  const [name, setName] = useState('');
  const [dueOn, setDueOn] = useState('');
  const id = useRef(ulid());
  const { run, isBusy, errors } = useMutation();
  const chosen = suggestions.filter((one) => !out.includes(one.key));
  const ask = (part: Partial<SuggestQuery>) => {
    const inAddress = ({ places, bodyId, ...rest }: Partial<SuggestQuery>) =>
      Object.entries({ places: places && String(places), clay: bodyId, ...rest });
    change((next) => {
      for (const [key, value] of inAddress(asked)) if (value && !next.has(key)) next.set(key, value);
      for (const [key, value] of inAddress(part)) if (value) next.set(key, value);
    });
  };
  const accept = async () => {
    const plan = freeRound(chosen.map((one) => ({ stack: one.stack })));
    const size = formShape('tile');
    const number = await run(() =>
      layOutRound({
        id: id.current,
        name: name || `${chosen.length} gaps, ${heatName(asked.cone)}`,
        kind: 'free',
        setup: asked,
        shape: plan.shape,
        rows: plan.rows,
        columns: plan.columns,
        form: 'tile',
        formId: null,
        heightMm: size.heightMm,
        widthMm: size.widthMm,
        twins: 1,
        cone: asked.cone,
        atmosphere: asked.atmosphere,
        dueOn: dueOn || null,
        unlessUnderWay: true,
        colour: '#888888',
        cells: plan.cells.map((cell, i) => ({
          label: cell.label,
          row: cell.row,
          column: cell.column,
          words: chosen[i]!.words,
          parts: cell.parts,
          recipe: null,
          stack: cell.stack ?? null,
          bodyId: asked.bodyId,
          texture: null,
          block: 0,
          cone: asked.cone,
          atmosphere: asked.atmosphere,
        })),
      }),
    );
    if (number !== undefined) router.push(`/rounds/${id.current}`);
  };
  return (
    <>
      <PageHeader first="Suggest a round">
        <h1>Tests worth making next</h1>
        <Acts>
          <LinkButton href="/rounds">Rounds</LinkButton>
        </Acts>
      </PageHeader>
      <div className={css.ask}>
        <NumberField
          label="Room for how many tiles?"
          value={asked.places}
          onChange={(places) => places && places >= 1 && places <= 200 && ask({ places: Math.round(places) })}
        />
        <Choice
          label="Clay"
          options={bodies.map((body) => body.name)}
          value={bodies.find((body) => body.id === asked.bodyId)?.name ?? null}
          onChange={(word) => ask({ bodyId: bodies.find((body) => body.name === word)?.id ?? asked.bodyId })}
        />
        <Choice
          label="Cone"
          options={heats}
          wordOf={heatShort}
          value={asked.cone}
          onChange={(cone) => ask({ cone: cone ?? '6' })}
        />
        <Choice
          label="Atmosphere"
          options={atmospheres}
          value={asked.atmosphere}
          onChange={(atmosphere) => ask({ atmosphere: atmosphere ?? 'oxidation' })}
        />
        <WordField label="Name of the round" value={name} onChange={setName} />
        <TextField
          label="Needed by"
          type="date"
          value={dueOn}
          onChange={(event) => setDueOn(event.target.value)}
          slotProps={{ inputLabel: { shrink: true } }}
        />
      </div>
      <FormErrors errors={errors} />
      {suggestions.length === 0 ? (
        <p>No glaze in the studio yet, so there is nothing to test.</p>
      ) : (
        <Suggested list={suggestions} out={out} setOut={setOut} />
      )}
      <Button variant="contained" disabled={isBusy || chosen.length === 0} onClick={() => void accept()}>
        {isBusy ? 'Planning' : `Plan these ${chosen.length}`}
      </Button>
      <p className="small quiet" style={{ marginTop: 12 }}>
        A test counts by how unsure its entry is, how often it was searched for, and what it says about the
        other order. Rounds under way are taken into account. This order is a judgement, not a measurement.
      </p>
    </>
  );
}

interface SuggestedProps {
  readonly list: readonly Suggestion[];
  /** Keys of those that are left out. */
  readonly out: readonly string[];
  readonly setOut: (out: readonly string[]) => void;
}

function Suggested({ list, out, setOut }: SuggestedProps) {
  return (
    <ol className={css.suggested}>
      {list.map((one) => {
        const on = !out.includes(one.key);
        return (
          <li key={one.key} data-out={!on || undefined}>
            <Checkbox
              checked={on}
              onChange={() => setOut(on ? [...out, one.key] : out.filter((key) => key !== one.key))}
              slotProps={{ input: { 'aria-label': `${one.words}: ${one.why}` } }}
            />
            {one.swatchHash ? (
              <Swatch hash={one.swatchHash} colour={null} width={60} height={40} />
            ) : (
              <Bands layers={one.colours.map((colour) => ({ colour, part: 1 }))} />
            )}
            <span>
              <b>{one.words}</b>
              <span className="small quiet">{one.why}</span>
            </span>
          </li>
        );
      })}
    </ol>
  );
}
