'use client';
import { useMemo } from 'react';
import { aligned, grams, millilitres, sayQuantity } from '@/core/units';
import { cautionsIn, DUST_CAUTION, materialBook, type MaterialBook } from '@/core/chemistry';
import { batchOf } from '@/core/recipe';
import { targetWords, SMALLEST_POUR } from '@/core/rounds';
import type { StudioMaterial, RecipeInUse } from '@/records/materials';
import type { Round, RoundCell } from '@/records/rounds';
import { Acts, Choice, DataTable, NumberField, PageHeader, QuantityField, type Tick } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { PrintButton } from '@/ui/PrintButton';
import { Said, QuantityText, useUnits } from '@/ui/units';
import { usePersistedState } from '@/ui/usePersistedState';
import { cupsOf, isMoreThanDipped, layingWords } from '../model/laying';
import { pourFor, USUAL_GRAVITY } from '../model/pouring';
import css from './rounds.module.css';

interface Props {
  readonly round: Round;
  readonly cells: readonly RoundCell[];
  readonly materials: readonly StudioMaterial[];
  /** Recipes of the glazes the cells are blended from. */
  readonly corners: readonly RecipeInUse[];
}

const WAYS = ['by weight', 'by volume'] as const;

interface Kept {
  readonly way: (typeof WAYS)[number];
  readonly grams: number;
  readonly ml: number;
  readonly gravity: Readonly<Record<string, number>>;
  readonly ticked: readonly string[];
}

const START: Kept = { way: 'by weight', grams: 100, ml: 60, gravity: {}, ticked: [] };

/** What to do at the bench, in working order, ticked off as it is done; ticks survive a reload. */
export function BenchSheet({ round, cells, materials, corners }: Props) {
  const [kept, setKept] = usePersistedState<Kept>(`jiten.bench.${round.id}`, START);
  const change = (part: Partial<Kept>) => setKept((before) => ({ ...before, ...part }));
  const book = useMemo(() => materialBook(materials), [materials]);
  const tick: TickOf = (key, label) => ({
    label,
    isDone: kept.ticked.includes(key),
    onTick: () =>
      change({
        ticked: kept.ticked.includes(key) ? kept.ticked.filter((one) => one !== key) : [...kept.ticked, key],
      }),
  });
  const blended = cells.some((cell) => cell.recipe);
  const pourable = blended && ['line', 'triaxial', 'corners'].includes(round.kind) && corners.length > 1;
  const way = pourable ? kept.way : 'by weight';
  return (
    <>
      <PageHeader first={`Round ${round.number}`}>
        <h1>{round.name}: bench sheet</h1>
        <Acts>
          <LinkButton href={`/rounds/${round.id}`}>The round</LinkButton>
          <LinkButton href={pdfAddress(round.id, way, kept)}>PDF</LinkButton>
          <PrintButton>Print</PrintButton>
        </Acts>
      </PageHeader>
      {blended && (
        <div className={`${css.pair} no-print`} style={{ maxWidth: 460, marginBottom: 14 }}>
          {pourable && (
            <Choice
              label="Mixed"
              options={WAYS}
              value={way}
              onChange={(next) => change({ way: next ?? 'by weight' })}
            />
          )}
          {way === 'by weight' ? (
            <QuantityField
              dimension="mass"
              label="Base of each"
              value={kept.grams}
              onChange={(weight) => weight && weight > 0 && change({ grams: weight })}
            />
          ) : (
            <QuantityField
              dimension="pour"
              label="In each cup"
              value={kept.ml}
              onChange={(ml) => ml && ml > 0 && change({ ml })}
            />
          )}
        </div>
      )}
      {blended && way === 'by weight' && (
        <Weighing cells={cupsOf(cells)} book={book} grams={kept.grams} tick={tick} />
      )}
      {blended && way === 'by volume' && (
        <Pouring {...{ cells: cupsOf(cells), corners, book, kept, change, tick }} />
      )}
      {(!blended || cells.some(({ stack }) => isMoreThanDipped(stack))) && (
        <Laying round={round} cells={cells} tick={tick} />
      )}
    </>
  );
}

/** Where the same sheet lies as a PDF. */
function pdfAddress(roundId: string, way: Kept['way'], { grams, ml, gravity }: Kept): string {
  const asked = new URLSearchParams({ way, grams: String(grams), ml: String(ml) });
  for (const [id, value] of Object.entries(gravity)) asked.set(`gravity.${id}`, String(value));
  return `/api/v1/rounds/${roundId}/bench?${asked}`;
}

type TickOf = (key: string, label: string) => Tick;

function Laying({ round, cells, tick }: Pick<Props, 'round' | 'cells'> & { tick: TickOf }) {
  const hasFires = new Set(cells.map(targetWords)).size > 1;
  return (
    <DataTable
      label="Glazing, test by test"
      columns={[{ name: 'Test', isHead: true }, { name: 'Pieces' }, { name: 'Apply, bottom coat first' }]}
      rows={cells.map((cell) => ({
        key: cell.id,
        tick: tick(cell.label, `Mark ${cell.label} as glazed`),
        cells: [
          <b key="label">{cell.label}</b>,
          <span key="pieces" className="figures">
            {cell.pieces.map((piece) => piece.label).join(' ')}
          </span>,
          <span key="stack">
            <Said of={layingWords(cell.stack, round)} />
            <small className="quiet">
              {' '}
              on {[cell.body, cell.texture].filter(Boolean).join(', ')}
              {hasFires && `, for ${targetWords(cell)}`}
            </small>
          </span>,
        ],
      }))}
    />
  );
}

function Weighing({
  cells,
  book,
  grams: base,
  tick,
}: {
  cells: readonly RoundCell[];
  book: MaterialBook;
  grams: number;
  tick: TickOf;
}) {
  const names = cells.flatMap((cell) => cell.recipe?.map((line) => line.material) ?? []);
  const cautions = cautionsIn(names, book);
  return (
    <>
      <p className="heat">{DUST_CAUTION}</p>
      {cautions.map((caution) => (
        <p key={caution} className="small">
          {caution}
        </p>
      ))}
      {cells
        .filter((cell) => cell.recipe)
        .map((cell) => {
          const batch = batchOf(cell.recipe!, { grams: base });
          const lines = batch.lines.filter((line) => line.grams > 0);
          return (
            <section key={cell.id} className={css.cup} aria-label={`Cup ${cell.label}`}>
              <h2>
                {cell.label}{' '}
                <span className="figures" style={{ fontSize: 15 }}>
                  {cell.pieces.map((piece) => piece.label).join(' ')}
                </span>
              </h2>
              <p>{cell.words}</p>
              <DataTable
                label={`What goes into ${cell.label}`}
                hasHeadings={false}
                columns={[
                  { name: 'Material', isHead: true },
                  { name: 'To weigh', align: 'right' },
                ]}
                rows={[
                  ...lines.map((line) => {
                    const key = `${cell.label} ${line.material}${line.addition} ${line.grams.toFixed(2)}`;
                    return {
                      key,
                      tick: tick(key, `${line.material} is in ${cell.label}`),
                      cells: [
                        <span key="material">
                          {line.addition && <i className="quiet">addition: </i>}
                          {line.material}
                        </span>,
                        <b key="grams">
                          <QuantityText of={aligned(grams(line.grams, 2))} />
                        </b>,
                      ],
                    };
                  }),
                  {
                    key: 'total',
                    cells: [
                      'all together, to check',
                      <QuantityText key="total" of={aligned(grams(batch.totalGrams, 2))} />,
                    ],
                  },
                ]}
              />
            </section>
          );
        })}
    </>
  );
}

interface PouringProps {
  readonly cells: readonly RoundCell[];
  readonly corners: readonly RecipeInUse[];
  readonly book: MaterialBook;
  readonly kept: Kept;
  readonly change: (part: Partial<Kept>) => void;
  readonly tick: TickOf;
}

function Pouring({ cells, corners, book, kept, change, tick }: PouringProps) {
  const units = useUnits();
  const gravityOf = (id: string) => kept.gravity[id] ?? USUAL_GRAVITY;
  const plan = pourFor(cells, corners, book, gravityOf, kept.ml);
  const nameOf = (id: string) => corners.find((corner) => corner.glazeId === id)?.name ?? id;
  return (
    <>
      <div className={css.pair} style={{ maxWidth: 520 }}>
        {corners.map((corner) => (
          <NumberField
            key={corner.glazeId}
            label={`Specific gravity, ${corner.name}`}
            value={gravityOf(corner.glazeId)}
            onChange={(gravity) =>
              gravity && change({ gravity: { ...kept.gravity, [corner.glazeId]: gravity } })
            }
          />
        ))}
      </div>
      {typeof plan === 'string' ? (
        <p className="heat">{plan}</p>
      ) : (
        <>
          <p style={{ marginTop: 12 }}>
            Needed:{' '}
            {plan.order
              .map((id) => `${nameOf(id)} ${sayQuantity(millilitres(Math.ceil(plan.totals[id]!)), units)}`)
              .join(', ')}
            . Pour one slop into all its cups before the next: {plan.washes}{' '}
            {plan.washes === 1 ? 'wash' : 'washes'} of the jug.
          </p>
          {plan.tooSmall.length > 0 && (
            <p className="heat">
              Below <QuantityText of={millilitres(SMALLEST_POUR)} />, too small to measure:{' '}
              {plan.tooSmall.join(', ')}. Mix more of each.
            </p>
          )}
          {plan.order.map((id) => (
            <section key={id} className={css.cup} aria-label={`Pour ${nameOf(id)}`}>
              <h2>{nameOf(id)}</h2>
              <DataTable
                label={`Cups of ${nameOf(id)}`}
                hasHeadings={false}
                columns={[
                  { name: 'Cup', isHead: true },
                  { name: 'To pour', align: 'right' },
                ]}
                rows={plan.cells
                  .filter((cell) => (cell.ml[id] ?? 0) > 0)
                  .map((cell) => {
                    const key = `${cell.label} ${id} ${cell.ml[id]!.toFixed(1)}`;
                    return {
                      key,
                      tick: tick(key, `${nameOf(id)} is in ${cell.label}`),
                      cells: [
                        cell.label,
                        <b key="ml">
                          <QuantityText of={aligned(millilitres(cell.ml[id]!, 1))} />
                        </b>,
                      ],
                    };
                  })}
              />
            </section>
          ))}
        </>
      )}
    </>
  );
}
