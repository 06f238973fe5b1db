'use client';
import { cautionsOf, DUST_CAUTION, type Line, type MaterialBook } from '@/core/chemistry';
import { baseForBucket, baseFromWhatIsLeft, batchOf, drySpecificGravity, type Batch } from '@/core/recipe';
import { aligned, figures, grams, sayQuantity, volumeOf } from '@/core/units';
import { Choice, DataTable, NumberField, QuantityField, TitleRow } from '@/ui/kit';
import { PrintButton } from '@/ui/PrintButton';
import { QuantityText, useUnits } from '@/ui/units';
import { usePersistedState } from '@/ui/usePersistedState';
import css from './glaze.module.css';

const WAYS = ['weight of the base', 'volume in a bucket', 'what is left of a material'] as const;

interface Wanted {
  readonly way: (typeof WAYS)[number];
  /** Grams of the base, or of the material that is left. */
  readonly grams: number | null;
  /** Millilitres of the bucket. */
  readonly ml: number | null;
  readonly material: string | null;
  readonly specificGravity: number | null;
  /** Lines that are in the bucket, by name and grams: another amount is another line. */
  readonly ticked: readonly string[];
}

const START: Wanted = {
  way: 'weight of the base',
  grams: 300,
  ml: 10_000,
  material: null,
  specificGravity: 1.45,
  ticked: [],
};

interface Props {
  readonly glazeId: string;
  readonly title: string;
  readonly lines: readonly Line[];
  readonly book: MaterialBook;
}

/** What goes on the scale: grams of each line, ticked off as they go in, water for the slop. This is what prints. */
export function BatchSheet({ glazeId, title, lines, book }: Props) {
  const [wanted, setWanted] = usePersistedState<Wanted>(`jiten.weighing.${glazeId}`, START);
  const change = (part: Partial<Wanted>) => setWanted((before) => ({ ...before, ...part }));
  const dry = lines.some((line) => !line.addition && line.amount > 0) ? drySpecificGravity(lines, book) : 2.6;
  const batch = attempt(wanted, lines, dry);
  return (
    <section className={css.batch} id="batch" aria-labelledby="batch-title">
      <TitleRow className="no-print">
        <h2 id="batch-title">Batch</h2>
        <PrintButton>Print the batch sheet</PrintButton>
      </TitleRow>
      <h1 className={css.printOnly}>{title}</h1>
      <div className={`${css.fields} no-print`}>
        <Choice
          label="Weigh out for"
          options={WAYS}
          value={wanted.way}
          onChange={(way) => change({ way: way ?? START.way })}
        />
        {wanted.way === 'what is left of a material' && (
          <Choice
            label="Material"
            options={[...new Set(lines.map((line) => line.material))]}
            value={lines.some((line) => line.material === wanted.material) ? wanted.material : null}
            onChange={(material) => change({ material })}
          />
        )}
        {wanted.way === 'volume in a bucket' ? (
          <QuantityField
            dimension="volume"
            label="Volume"
            value={wanted.ml}
            onChange={(ml) => change({ ml })}
          />
        ) : (
          <QuantityField
            dimension="mass"
            label="Weight"
            value={wanted.grams}
            onChange={(weight) => change({ grams: weight })}
          />
        )}
        <NumberField
          label="Specific gravity"
          value={wanted.specificGravity}
          onChange={(specificGravity) => change({ specificGravity })}
        />
      </div>
      {typeof batch === 'string' ? (
        <p className="heat">{batch}</p>
      ) : (
        <Sheet
          batch={batch}
          book={book}
          ticked={wanted.ticked}
          onTick={(key) =>
            change({
              ticked: wanted.ticked.includes(key)
                ? wanted.ticked.filter((one) => one !== key)
                : [...wanted.ticked, key],
            })
          }
          specificGravity={wanted.specificGravity}
          dry={dry}
        />
      )}
    </section>
  );
}

function attempt(
  { way, grams: weight, ml, material, specificGravity }: Wanted,
  lines: readonly Line[],
  dry: number,
) {
  if (!lines.some((line) => !line.addition && line.amount > 0)) return 'Type a recipe first.';
  const amount = way === 'volume in a bucket' ? ml : weight;
  if (amount === null || amount <= 0) return 'How much?';
  const gravity = specificGravity ?? undefined;
  try {
    const base =
      way === 'weight of the base'
        ? amount
        : way === 'volume in a bucket'
          ? baseForBucket(lines, { litres: amount / 1000, specificGravity: gravity ?? 1.45, dry })
          : baseFromWhatIsLeft(lines, material ?? '', amount);
    return batchOf(lines, { grams: base, specificGravity: gravity, drySpecificGravity: dry });
  } catch (error) {
    const message = (error as Error).message;
    return message.includes('no  in') ? 'Which material?' : `It cannot be weighed: ${message}.`;
  }
}

/** A weight as a scale shows it: to the tenth of a gram below a kilogram, whole grams above. */
const weighed = (n: number) => aligned(grams(n, n >= 1000 ? 0 : n < 1 ? 2 : 1));

interface SheetProps {
  readonly batch: Batch;
  readonly book: MaterialBook;
  readonly ticked: readonly string[];
  readonly onTick: (key: string) => void;
  readonly specificGravity: number | null;
  readonly dry: number;
}

function Sheet({ batch, book, ticked, onTick, specificGravity, dry }: SheetProps) {
  const units = useUnits();
  const keyed = batch.lines.map((line, i) => ({
    ...line,
    key: `${line.material}${line.addition ? '+' : ''} ${line.grams.toFixed(2)}`,
    onScale: batch.lines.slice(0, i + 1).reduce((sum, one) => sum + one.grams, 0),
  }));
  const left = keyed.filter((line) => !ticked.includes(line.key)).reduce((sum, line) => sum + line.grams, 0);
  return (
    <>
      <p className="heat">{DUST_CAUTION}</p>
      <DataTable
        label="Batch sheet"
        columns={[
          { name: 'Material', isHead: true },
          { name: '%', align: 'right' },
          { name: 'to weigh', align: 'right' },
          { name: 'running total on the scale', align: 'right' },
        ]}
        rows={keyed.map((line) => ({
          key: line.key,
          tick: {
            label: `${line.material}, ${sayQuantity(weighed(line.grams), units)} is in`,
            isDone: ticked.includes(line.key),
            onTick: () => onTick(line.key),
          },
          cells: [
            <MaterialName key="material" line={line} book={book} />,
            figures(line.percent, 2),
            <b key="grams" className={css.grams}>
              <QuantityText of={weighed(line.grams)} />
            </b>,
            <QuantityText key="scale" of={weighed(line.onScale)} />,
          ],
        }))}
      />
      <p className={css.unityFoot}>
        <span>
          Dry total{' '}
          <b>
            <QuantityText of={weighed(batch.totalGrams)} />
          </b>
        </span>
        <span className="no-print" role="status">
          still to weigh{' '}
          <b>
            <QuantityText of={weighed(Math.max(0, left))} />
          </b>
        </span>
        {batch.waterGrams !== null && specificGravity !== null && (
          <>
            <span>
              water for {figures(specificGravity, 2)}{' '}
              <b>
                <QuantityText of={weighed(batch.waterGrams)} />
              </b>
            </span>
            <span>
              makes{' '}
              <b>
                <QuantityText of={volumeOf(batch.slopMl!)} />
              </b>
            </span>
            <span className="small quiet">dry material of this recipe: {figures(dry, 2)} g/cm³</span>
          </>
        )}
        {ticked.length > 0 && left < 0.005 && <span className="good">All weighed: sieve, then stir.</span>}
      </p>
    </>
  );
}

/** A material as it is weighed, with what to mind about it. */
function MaterialName({ line, book }: { line: Batch['lines'][number]; book: MaterialBook }) {
  const known = book.find(line.material);
  const cautions = known ? cautionsOf(known) : [];
  return (
    <span className={css.material}>
      {line.addition && <i className="quiet">addition: </i>}
      {line.material}
      {cautions.length > 0 && <small className="heat">{cautions.join(' ')}</small>}
    </span>
  );
}
