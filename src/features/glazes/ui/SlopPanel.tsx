'use client';
import { Choice, DataTable, FormErrors, NumberField } from '@/ui/kit';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ulid } from 'ulid';
import { correctSlop } from '@/core/recipe';
import type { BatchHistory } from '@/records/materials';
import { shortDay } from '@/core/time';
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
  const [litres, setLitres] = useState<number | null>(10);
  const [measured, setMeasured] = useState<number | null>(null);
  const [target, setTarget] = useState<number | null>(1.45);
  const { run, isBusy, errors } = useMutation();
  const batch = batches.find((one) => one.code === code) ?? batches[0];
  const advice = adviceFor(litres, measured, target, dry);
  const of = (field: string) => errors.find((error) => error.field === field)?.message;
  const note = async () => {
    const measure = {
      id: ulid(),
      batchId: batch!.id,
      specificGravity: measured,
      ml: litres === null ? null : litres * 1000,
      done: advice.done,
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
        <NumberField label="Litres in the bucket" value={litres} onChange={setLitres} error={of('ml')} />
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
        {advice.words}
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
            {measure.specificGravity.toFixed(2)}
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

/** Grams or millilitres as a jug shows them. */
const jug = (n: number) => (n >= 1000 ? `${(n / 1000).toFixed(2)} l` : `${Math.round(n / 5) * 5} ml`);

function adviceFor(litres: number | null, measured: number | null, target: number | null, dry: number) {
  if (litres === null || measured === null || target === null)
    return {
      words: 'Weigh a measured jug of glaze: grams divided by millilitres is its specific gravity.',
      done: '',
    };
  try {
    const { addWater, takeOffWater, addDry, dryGrams } = correctSlop({
      ml: litres * 1000,
      measured,
      target,
      dry,
    });
    const holds = `The bucket holds ${(dryGrams / 1000).toFixed(2)} kg of dry glaze.`;
    if (addWater > 0)
      return {
        words: `Too thick: stir in ${jug(addWater)} water. ${holds}`,
        done: `${jug(addWater)} water in`,
      };
    if (takeOffWater > 0)
      return {
        words: `Too thin: let it settle and take off ${jug(takeOffWater)} clear water, or stir in ${addDry.toFixed(0)} g of the dry recipe. ${holds}`,
        done: `too thin, ${jug(takeOffWater)} to take off`,
      };
    return { words: `At target. ${holds}`, done: 'right' };
  } catch (error) {
    return { words: `Not possible: ${(error as Error).message}.`, done: '' };
  }
}
