'use client';
import { bulkOf, figures, grams, sayMessage, text, volumeOf, type Message } from '@/core/units';
import { Choice, DataTable, FormErrors, NumberField, QuantityField, WordField } from '@/ui/kit';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ulid } from 'ulid';
import { addToSlop, correctSlop } from '@/core/recipe';
import type { BatchHistory } from '@/records/materials';
import type { Reminder } from '@/records/reminders';
import { NextTime } from '@/features/reminders';
import { ForRole } from '@/ui/ForRole';
import { shortDay } from '@/core/time';
import { Said, useUnits } from '@/ui/units';
import { useMutation } from '@/ui/useMutation';
import { saveMeasure } from '../actions';
import css from './glaze.module.css';

interface Props {
  readonly batches: readonly BatchHistory[];
  /** Notes about these batches that are not ticked off. */
  readonly reminders: readonly Reminder[];
  /** Dry specific gravity of the recipe. */
  readonly dry: number;
  /** Grams of dry glaze for each gram of its base. */
  readonly perBase: number;
}

/** The bucket as it is: what it measures, what brings it right, and how it was before. */
export function SlopPanel({ batches, reminders, dry, perBase }: Props) {
  const [code, setCode] = useState<string | null>(batches[0]?.code ?? null);
  const [ml, setMl] = useState<number | null>(10_000);
  const [measured, setMeasured] = useState<number | null>(null);
  const [target, setTarget] = useState<number | null>(1.45);
  const [added, setAdded] = useState<Added>({ what: '', percent: null });
  const { run, isBusy, errors } = useMutation();
  const batch = batches.find((one) => one.code === code) ?? batches[0];
  const units = useUnits();
  const advice = adviceFor(ml, measured, target, dry);
  const addition = additionFor({ ml, measured, dry, perBase, ...added });
  const of = (field: string) => errors.find((error) => error.field === field)?.message;
  const note = async () => {
    const measure = {
      id: ulid(),
      batchId: batch!.id,
      specificGravity: measured,
      ml,
      done: [addition.done, advice.done]
        .map((done) => sayMessage(done, units))
        .filter(Boolean)
        .join('; '),
    };
    if ((await run(() => saveMeasure(measure))) !== null) return;
    setMeasured(null);
    setAdded({ what: '', percent: null });
  };
  return (
    <section className={`${css.slop} no-print`} id="bucket" aria-labelledby="bucket-title">
      <h2 id="bucket-title">Bucket</h2>
      <div className={css.fields}>
        {batches.length > 0 && (
          <Choice
            label="Batch"
            options={batches.map((one) => one.code)}
            value={batch?.code ?? null}
            onChange={setCode}
          />
        )}
        <QuantityField
          dimension="volume"
          label="In the bucket"
          value={ml}
          onChange={setMl}
          error={of('ml')}
        />
        <NumberField
          label="Measured SG"
          value={measured}
          onChange={setMeasured}
          error={of('specificGravity')}
          placeholder="1.50"
        />
        <NumberField label="Target SG" value={target} onChange={setTarget} />
      </div>
      <p role="status" className={css.advice}>
        <Said of={advice.words} />
      </p>
      <div className={css.fields}>
        <WordField
          label="Stir in as well"
          value={added.what}
          onChange={(what) => setAdded({ ...added, what })}
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
        <NumberField
          label="% of the base"
          value={added.percent}
          onChange={(percent) => setAdded({ ...added, percent })}
        />
      </div>
      {addition.words !== '' && (
        <p role="status" className={css.advice}>
          <Said of={addition.words} />
        </p>
      )}
      <FormErrors errors={errors.filter((error) => error.field === '')} />
      {batch ? (
        <>
          <Button onClick={() => void note()} disabled={isBusy || measured === null}>
            Save measurement for {batch.code}
          </Button>
          <ForRole least="student">
            <NextTime
              key={batch.id}
              reminders={reminders.filter(({ aboutId }) => aboutId === batch.id)}
              about={{ about: 'batch', aboutId: batch.id }}
              mayWrite
            />
          </ForRole>
          <History batch={batch} />
        </>
      ) : (
        <p className="small quiet">Note a batch on the card below and its measurements are kept here.</p>
      )}
    </section>
  );
}

function History({ batch }: { batch: BatchHistory }) {
  return (
    <DataTable
      label={`Measurements of ${batch.code}`}
      caption={`${batch.code}: version ${batch.versionNumber}, mixed ${shortDay(batch.mixedOn)}`}
      hasHeadings={false}
      columns={[{ name: 'Day' }, { name: 'Specific gravity' }, { name: 'Done' }, { name: 'By' }]}
      rows={batch.measures.map((measure) => ({
        key: measure.id,
        cells: [
          shortDay(measure.at),
          <span key="sg" className="figures">
            {figures(measure.specificGravity, 2)}
          </span>,
          measure.done,
          <span key="by" className="quiet">
            {measure.by}
          </span>,
        ],
      }))}
    />
  );
}

/** What is to be stirred into a wet bucket beside its recipe. */
interface Added {
  readonly what: string;
  /** Of the base. */
  readonly percent: number | null;
}

interface Slop extends Added {
  readonly ml: number | null;
  readonly measured: number | null;
  readonly dry: number;
  readonly perBase: number;
}

function additionFor({ ml, measured, dry, perBase, what, percent }: Slop): Advice {
  if (percent === null) return { words: '', done: '' };
  if (ml === null || measured === null)
    return { words: 'Measure the bucket first: what goes in depends on what is in it.', done: '' };
  try {
    const one = addToSlop({ ml, measured, percent, perBase, dry });
    const name = what.trim() || 'it';
    return {
      words: text`Weigh in ${grams(one.grams, 1)} of ${name}, wetted first and sieved in. It stands at ${figures(one.specificGravity, 2)} then; ${jug(one.addWater)} of water brings it back. Respirator on for the dry powder. A changed glaze is another version: save it as one.`,
      done: text`${grams(one.grams, 1)} of ${name} in, ${figures(percent, 2)} %`,
    };
  } catch (error) {
    return { words: `Not possible: ${(error as Error).message}.`, done: '' };
  }
}

/** A volume as a jug shows it: to five millilitres below a litre. */
const jug = (ml: number) => volumeOf(ml >= 1000 ? ml : Math.round(ml / 5) * 5);

interface Advice {
  readonly words: Message;
  /** What is kept of it; empty when there is nothing to do. */
  readonly done: Message;
}

function adviceFor(ml: number | null, measured: number | null, target: number | null, dry: number): Advice {
  if (ml === null || measured === null || target === null)
    return {
      words: 'Weigh a measured jug of glaze: grams divided by millilitres is its specific gravity.',
      done: '',
    };
  try {
    const { addWater, takeOffWater, addDry, dryGrams } = correctSlop({
      ml,
      measured,
      target,
      dry,
    });
    const holds = text`The bucket holds ${bulkOf(dryGrams, 2)} of dry glaze.`;
    if (addWater > 0)
      return {
        words: text`Too thick: stir in ${jug(addWater)} water. ${holds}`,
        done: text`${jug(addWater)} water in`,
      };
    if (takeOffWater > 0)
      return {
        words: text`Too thin: let it settle and take off ${jug(takeOffWater)} clear water, or stir in ${grams(addDry)} of the dry recipe. ${holds}`,
        done: text`too thin, ${jug(takeOffWater)} to take off`,
      };
    return { words: text`At target. ${holds}`, done: 'right' };
  } catch (error) {
    return { words: `Not possible: ${(error as Error).message}.`, done: '' };
  }
}
