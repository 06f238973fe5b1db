'use client';
import { cautionsOf, DUST_CAUTION, type Line, type MaterialBook } from '@/core/chemistry';
import { baseForBucket, baseFromWhatIsLeft, batchOf, drySpecificGravity, type Batch } from '@/core/recipe';
import { Choice, DataTable, NumberField, TitleRow } from '@/ui/kit';
import { PrintButton } from '@/ui/PrintButton';
import { usePersistedState } from '@/ui/usePersistedState';
import css from './glaze.module.css';

const WAYS = ['grams of base', 'litres in a bucket', 'what is left of a material'] as const;

interface Wanted {
  readonly way: (typeof WAYS)[number];
  readonly amount: number | null;
  readonly material: string | null;
  readonly specificGravity: number | null;
  /** Lines that are in the bucket, by name and grams: another amount is another line. */
  readonly ticked: readonly string[];
}

const START: Wanted = {
  way: 'grams of base',
  amount: 300,
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
  const [wanted, setWanted] = usePersistedState<Wanted>(`jiten.weigh.${glazeId}`, START);
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
        <NumberField
          label={wanted.way === 'litres in a bucket' ? 'Litres' : 'Grams'}
          value={wanted.amount}
          onChange={(amount) => change({ amount })}
        />
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

function attempt({ way, amount, material, specificGravity }: Wanted, lines: readonly Line[], dry: number) {
  if (!lines.some((line) => !line.addition && line.amount > 0)) return 'Type a recipe first.';
  if (amount === null || amount <= 0) return 'How much?';
  const gravity = specificGravity ?? undefined;
  try {
    const grams =
      way === 'grams of base'
        ? amount
        : way === 'litres in a bucket'
          ? baseForBucket(lines, { litres: amount, specificGravity: gravity ?? 1.45, dry })
          : baseFromWhatIsLeft(lines, material ?? '', amount);
    return batchOf(lines, { grams, specificGravity: gravity, drySpecificGravity: dry });
  } catch (error) {
    const message = (error as Error).message;
    return message.includes('no  in') ? 'Which material?' : `It cannot be weighed: ${message}.`;
  }
}

/** Grams as a scale shows them: a tenth below a kilogram, whole above. */
const grams = (n: number) => (n >= 1000 ? n.toFixed(0) : n.toFixed(n < 1 ? 2 : 1));

interface SheetProps {
  readonly batch: Batch;
  readonly book: MaterialBook;
  readonly ticked: readonly string[];
  readonly onTick: (key: string) => void;
  readonly specificGravity: number | null;
  readonly dry: number;
}

function Sheet({ batch, book, ticked, onTick, specificGravity, dry }: SheetProps) {
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
          { name: 'grams', align: 'right' },
          { name: 'running total on the scale', align: 'right' },
        ]}
        rows={keyed.map((line) => ({
          key: line.key,
          tick: {
            label: `${line.material}, ${grams(line.grams)} g is in`,
            isDone: ticked.includes(line.key),
            onTick: () => onTick(line.key),
          },
          cells: [
            <MaterialName key="material" line={line} book={book} />,
            line.percent.toFixed(2),
            <b key="grams" className={css.grams}>
              {grams(line.grams)}
            </b>,
            grams(line.onScale),
          ],
        }))}
      />
      <p className={css.unityFoot}>
        <span>
          Dry total <b className="figures">{grams(batch.totalGrams)} g</b>
        </span>
        <span className="no-print" role="status">
          still to weigh <b className="figures">{grams(Math.max(0, left))} g</b>
        </span>
        {batch.waterGrams !== null && specificGravity !== null && (
          <>
            <span>
              water for {specificGravity.toFixed(2)} <b className="figures">{grams(batch.waterGrams)} g</b>
            </span>
            <span>
              makes <b className="figures">{(batch.slopMl! / 1000).toFixed(2)} l</b>
            </span>
            <span className="small quiet">dry material of this recipe: {dry.toFixed(2)} g/cm³</span>
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
