'use client';
import { cautionsOf, DUST_CAUTION, type Line, type MaterialBook } from '@/core/chemistry';
import { baseForBucket, baseFromWhatIsLeft, batchOf, drySpecificGravity, type Batch } from '@/core/recipe';
import { Choice, NumberField } from '@/ui/kit';
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
      <div className={`${css.titleRow} no-print`}>
        <h2 id="batch-title">Batch</h2>
        <PrintButton>Print the batch sheet</PrintButton>
      </div>
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
      <table className={css.sheet} aria-label="Batch sheet">
        <thead>
          <tr>
            <th scope="col">In</th>
            <th scope="col">Material</th>
            <th scope="col">%</th>
            <th scope="col">grams</th>
            <th scope="col">running total on the scale</th>
          </tr>
        </thead>
        <tbody>
          {keyed.map((line) => {
            const known = book.find(line.material);
            const cautions = known ? cautionsOf(known) : [];
            const done = ticked.includes(line.key);
            return (
              <tr key={line.key} data-done={done || undefined}>
                <td>
                  <label>
                    <input
                      type="checkbox"
                      checked={done}
                      onChange={() => onTick(line.key)}
                      aria-label={`${line.material}, ${grams(line.grams)} g is in`}
                    />
                  </label>
                </td>
                <th scope="row">
                  {line.addition && <i className="quiet">addition: </i>}
                  {line.material}
                  {cautions.length > 0 && <small>{cautions.join(' ')}</small>}
                </th>
                <td className="figures">{line.percent.toFixed(2)}</td>
                <td className={`figures ${css.grams}`}>{grams(line.grams)}</td>
                <td className="figures">{grams(line.onScale)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
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
