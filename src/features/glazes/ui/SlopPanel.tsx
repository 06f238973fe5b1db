'use client';
import { bulkOf, figures, grams, sayMessage, text, volumeOf, type Message } from '@/core/units';
import { Choice, DataTable, FormErrors, NumberField, QuantityField } from '@/ui/kit';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ulid } from 'ulid';
import { correctSlop } from '@/core/recipe';
import type { BatchHistory } from '@/records/materials';
import { shortDay } from '@/core/time';
import { Said, useUnits } from '@/ui/units';
import { useMutation } from '@/ui/useMutation';
import { saveMeasure } from '../actions';
import css from './glaze.module.css';

interface Props {
  readonly batches: readonly BatchHistory[];
  /** Dry specific gravity of the recipe. */
  readonly dry: number;
}

/** The bucket as it is: what it measures, what brings it right, and how it was before. */
export function SlopPanel({ batches, dry }: Props) {
  const [code, setCode] = useState<string | null>(batches[0]?.code ?? null);
  const [ml, setMl] = useState<number | null>(10_000);
  const [measured, setMeasured] = useState<number | null>(null);
  const [target, setTarget] = useState<number | null>(1.45);
  const { run, isBusy, errors } = useMutation();
  const batch = batches.find((one) => one.code === code) ?? batches[0];
  const units = useUnits();
  const advice = adviceFor(ml, measured, target, dry);
  const of = (field: string) => errors.find((error) => error.field === field)?.message;
  const note = async () => {
    const measure = {
      id: ulid(),
      batchId: batch!.id,
      specificGravity: measured,
      ml,
      done: sayMessage(advice.done, units),
    };
    if ((await run(() => saveMeasure(measure))) === null) setMeasured(null);
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
      <FormErrors errors={errors.filter((error) => error.field === '')} />
      {batch ? (
        <>
          <Button onClick={() => void note()} disabled={isBusy || measured === null}>
            Save measurement for {batch.code}
          </Button>
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
