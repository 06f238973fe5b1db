'use client';
import { useMemo } from 'react';
import { cautionsIn, DUST_CAUTION, materialBook, type MaterialBook } from '@/core/chemistry';
import { batchOf } from '@/core/recipe';
import { SMALLEST_POUR } from '@/core/rounds';
import type { StudioMaterial, NewestRecipe } from '@/records/materials';
import type { Round, RoundCell } from '@/records/rounds';
import { Choice, NumberField } from '@/ui/kit';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { PrintButton } from '@/ui/PrintButton';
import { usePersistedState } from '@/ui/usePersistedState';
import { timesWords } from '@/core/coats';
import { pourFor, USUAL_GRAVITY } from '../model/pouring';
import css from './rounds.module.css';

interface Props {
  readonly round: Round;
  readonly cells: readonly RoundCell[];
  readonly materials: readonly StudioMaterial[];
  /** Recipes of the glazes the cells are blended from. */
  readonly corners: readonly NewestRecipe[];
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
  const tick = (key: string) => ({
    checked: kept.ticked.includes(key),
    onChange: () =>
      change({
        ticked: kept.ticked.includes(key) ? kept.ticked.filter((one) => one !== key) : [...kept.ticked, key],
      }),
  });
  const blended = cells.some((cell) => cell.recipe);
  const pourable = blended && ['line', 'triaxial', 'corners'].includes(round.kind) && corners.length > 1;
  const way = pourable ? kept.way : 'by weight';
  return (
    <>
      <GuideWords first={`Round ${round.number}`} />
      <div className={css.titleRow}>
        <h1>{round.name}: bench sheet</h1>
        <span className="no-print">
          <LinkButton href={`/rounds/${round.id}`}>The round</LinkButton>
          <LinkButton href={pdfAddress(round.id, way, kept)}>PDF</LinkButton>
          <PrintButton>Print</PrintButton>
        </span>
      </div>
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
            <NumberField
              label="Base grams of each"
              value={kept.grams}
              onChange={(grams) => grams && grams > 0 && change({ grams })}
            />
          ) : (
            <NumberField
              label="Millilitres of each"
              value={kept.ml}
              onChange={(ml) => ml && ml > 0 && change({ ml })}
            />
          )}
        </div>
      )}
      {!blended ? (
        <Laying cells={cells} tick={tick} />
      ) : way === 'by weight' ? (
        <Weighing cells={cells} book={book} grams={kept.grams} tick={tick} />
      ) : (
        <Pouring {...{ cells, corners, book, kept, change, tick }} />
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

interface TickState {
  readonly checked: boolean;
  readonly onChange: () => void;
}
type Tick = (key: string) => TickState;

function TickCell({ checked, onChange, label }: TickState & { readonly label: string }) {
  return (
    <td>
      <input type="checkbox" checked={checked} onChange={onChange} aria-label={label} />
    </td>
  );
}

function Laying({ cells, tick }: { cells: readonly RoundCell[]; tick: Tick }) {
  return (
    <table className={css.sheet} aria-label="Glazing, test by test">
      <thead>
        <tr>
          <th scope="col">Done</th>
          <th scope="col">Test</th>
          <th scope="col">Pieces</th>
          <th scope="col">Apply, bottom coat first</th>
        </tr>
      </thead>
      <tbody>
        {cells.map((cell) => {
          const state = tick(cell.label);
          return (
            <tr key={cell.id} data-done={state.checked || undefined}>
              <TickCell {...state} label={`Mark ${cell.label} as glazed`} />
              <th scope="row">
                <b>{cell.label}</b>
              </th>
              <td className="figures">{cell.pieces.map((piece) => piece.label).join(' ')}</td>
              <td>
                {cell.stack.map((layer) => `${layer.name} ${timesWords(layer.times)}`).join(', then ')}
                <small className="quiet"> on {cell.body}</small>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function Weighing({
  cells,
  book,
  grams,
  tick,
}: {
  cells: readonly RoundCell[];
  book: MaterialBook;
  grams: number;
  tick: Tick;
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
          const batch = batchOf(cell.recipe!, { grams });
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
              <table className={css.sheet}>
                <tbody>
                  {lines.map((line) => {
                    const key = `${cell.label} ${line.material}${line.addition} ${line.grams.toFixed(2)}`;
                    const state = tick(key);
                    return (
                      <tr key={key} data-done={state.checked || undefined}>
                        <TickCell {...state} label={`${line.material} is in ${cell.label}`} />
                        <th scope="row">
                          {line.addition && <i className="quiet">addition: </i>}
                          {line.material}
                        </th>
                        <td className="figures">
                          <b>{line.grams.toFixed(2)} g</b>
                        </td>
                      </tr>
                    );
                  })}
                  <tr>
                    <td />
                    <th scope="row">all together, to check</th>
                    <td className="figures">{batch.totalGrams.toFixed(2)} g</td>
                  </tr>
                </tbody>
              </table>
            </section>
          );
        })}
    </>
  );
}

interface PouringProps {
  readonly cells: readonly RoundCell[];
  readonly corners: readonly NewestRecipe[];
  readonly book: MaterialBook;
  readonly kept: Kept;
  readonly change: (part: Partial<Kept>) => void;
  readonly tick: Tick;
}

function Pouring({ cells, corners, book, kept, change, tick }: PouringProps) {
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
            Needed: {plan.order.map((id) => `${nameOf(id)} ${Math.ceil(plan.totals[id]!)} ml`).join(', ')}.
            Pour one slop into all its cups before the next: {plan.washes}{' '}
            {plan.washes === 1 ? 'wash' : 'washes'} of the jug.
          </p>
          {plan.tooSmall.length > 0 && (
            <p className="heat">
              Below {SMALLEST_POUR} ml, too small to measure: {plan.tooSmall.join(', ')}. Mix more of each.
            </p>
          )}
          {plan.order.map((id) => (
            <section key={id} className={css.cup} aria-label={`Pour ${nameOf(id)}`}>
              <h2>{nameOf(id)}</h2>
              <table className={css.sheet}>
                <tbody>
                  {plan.cells
                    .filter((cell) => (cell.ml[id] ?? 0) > 0)
                    .map((cell) => {
                      const key = `${cell.label} ${id} ${cell.ml[id]!.toFixed(1)}`;
                      const state = tick(key);
                      return (
                        <tr key={key} data-done={state.checked || undefined}>
                          <TickCell {...state} label={`${nameOf(id)} is in ${cell.label}`} />
                          <th scope="row">{cell.label}</th>
                          <td className="figures">
                            <b>{cell.ml[id]!.toFixed(1)} ml</b>
                          </td>
                        </tr>
                      );
                    })}
                </tbody>
              </table>
            </section>
          ))}
        </>
      )}
    </>
  );
}
