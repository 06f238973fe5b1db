'use client';
import { Choice, FormErrors, NumberField, WordField } from '@/ui/kit';
import { RadioCards } from '@/ui/kit/RadioCards';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useMemo, useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { ulid } from 'ulid';
import { formShape, CONES, ROUND_KINDS, ATMOSPHERES, ROUND_FORMS } from '@/core/vocabulary';
import { bodiesVary, isBlend, loadsOf, needsOf, provedBy, type Cell, type NamedRecipe } from '@/core/rounds';
import type { KnownStack } from '@/records/rounds';
import { GuideWords } from '@/ui/frame';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { layOutRound } from '../actions';
import { FIRST_SETUP, KINDS, knownOf, named, type Setup } from '../model/setup';
import { Tray } from './Tray';
import { TrayCell } from './TrayCell';
import { usePlan } from './usePlan';
import { Varies } from './Varies';
import css from './rounds.module.css';

interface Props {
  readonly glazes: readonly NamedRecipe[];
  readonly bodies: readonly { readonly id: string; readonly name: string }[];
  readonly kilns: readonly { readonly name: string; readonly litres: number; readonly shelves: number }[];
  readonly known: readonly KnownStack[];
  /** What a link asks to begin with; null for what was last worked on. */
  readonly start: Partial<Setup> | null;
}

/** A round in one page, left to right: the question, what varies, what stays, and the tray as it will stand. */
export function RoundMaker({ glazes, bodies, kilns, known, start }: Props) {
  const router = useRouter();
  const [kept, setSetup, , drop] = usePersistedState<Setup>(
    start ? `jiten.round.${JSON.stringify(start)}` : 'jiten.round',
    { ...FIRST_SETUP, ...start },
  );
  // What was kept by an earlier version may lack a field.
  const setup = useMemo(() => ({ ...FIRST_SETUP, ...kept }), [kept]);
  const change = (part: Partial<Setup>) => setSetup((before) => ({ ...before, ...part }));
  const id = useRef(ulid());
  const { run, isBusy, errors } = useMutation();
  const of = (field: string) => errors.find((error) => error.field === field)?.message;
  const chosenBodies = setup.bodies.filter((one) => bodies.some((body) => body.id === one));
  const bodyId = chosenBodies[0] ?? bodies[0]?.id ?? '';
  const { plan, aliases } = usePlan(setup, glazes);
  const cells = typeof plan === 'string' ? [] : plan.cells;
  const proofOf = (cell: Cell) => knownOf(cell, cell.body ?? bodyId, setup, known);
  const isOut = (cell: Cell) => {
    const proof = proofOf(cell);
    const proved = proof !== undefined && provedBy(proof) === 'proved';
    return setup.out.includes(cell.label) || (proved && !setup.taken.includes(cell.label));
  };
  const inside = cells.filter((cell) => !isOut(cell));
  const size = formShape(setup.form);
  const needs = needsOf(inside, setup.twins, size);
  const turn = (cell: Cell) => {
    const without = (list: readonly string[]) => list.filter((label) => label !== cell.label);
    if (isOut(cell)) change({ out: without(setup.out), taken: [...without(setup.taken), cell.label] });
    else change({ out: [...without(setup.out), cell.label], taken: without(setup.taken) });
  };
  const save = async () => {
    if (typeof plan === 'string' || inside.length === 0) return;
    const first = glazes.find((glaze) => glaze.id === Object.keys(inside[0]!.parts)[0]);
    const draft = {
      id: id.current,
      name: setup.name || [KINDS[setup.kind], first?.name].filter(Boolean).join(': '),
      kind: setup.kind,
      setup,
      shape: plan.shape,
      rows: plan.rows,
      columns: plan.columns,
      form: setup.form,
      heightMm: size.heightMm,
      widthMm: size.widthMm,
      twins: setup.twins,
      cone: setup.cone,
      atmosphere: setup.atmosphere,
      dueOn: setup.dueOn,
      colour: first?.colour ?? '#888888',
      cells: inside.map((cell) => ({
        label: cell.label,
        row: cell.row,
        column: cell.column,
        words: named(cell.words, [...glazes, ...bodies]),
        parts: cell.parts,
        recipe: isBlend(setup.kind) ? (cell.lines ?? null) : null,
        stack: cell.stack ?? null,
        bodyId: cell.body ?? bodyId,
      })),
    };
    if ((await run(() => layOutRound(draft))) === undefined) return;
    drop();
    router.push(`/rounds/${id.current}`);
  };
  useHotkeys('mod+enter', () => void save(), { enableOnFormTags: true });

  return (
    <>
      <GuideWords first="New round" />
      <h1>What do you want to know?</h1>
      <div className={css.maker}>
        <RadioCards
          label="Question"
          options={ROUND_KINDS}
          value={setup.kind}
          onChange={(kind) => change({ kind, out: [], taken: [] })}
          groupClassName={css.kinds}
          className={css.kind}
          card={(kind) => KINDS[kind]}
        />
        <Varies {...{ setup, change, glazes, bodies }} />
        <div className={css.stays}>
          <h2>What stays the same</h2>
          <WordField
            label="Name of the round"
            value={setup.name}
            onChange={(name) => change({ name })}
            error={of('name')}
          />
          {!bodiesVary(setup.kind) && (
            <Choice
              label="Clay"
              options={bodies.map((body) => body.name)}
              value={bodies.find((body) => body.id === bodyId)?.name ?? null}
              onChange={(name) =>
                change({ bodies: bodies.filter((body) => body.name === name).map((body) => body.id) })
              }
            />
          )}
          <div className={css.pair}>
            <Choice
              label="Cone"
              options={CONES}
              value={setup.cone as (typeof CONES)[number]}
              onChange={(cone) => change({ cone: cone ?? '6' })}
            />
            <Choice
              label="Atmosphere"
              options={ATMOSPHERES}
              value={setup.atmosphere}
              onChange={(atmosphere) => change({ atmosphere: atmosphere ?? 'oxidation' })}
            />
            <Choice
              label="Form"
              options={ROUND_FORMS}
              value={setup.form}
              onChange={(form) => change({ form: form ?? 'tile' })}
            />
            <NumberField
              label="Tiles of each"
              value={setup.twins}
              onChange={(twins) => twins && change({ twins: Math.round(twins) })}
              error={of('twins')}
            />
          </div>
          <p className="small quiet">
            {setup.twins > 1
              ? 'Twins tell an accident from a result.'
              : 'One of each proves little: a single tile that differs may be a slip of the hand.'}
          </p>
          <TextField
            label="Needed by"
            type="date"
            value={setup.dueOn ?? ''}
            onChange={(event) => change({ dueOn: event.target.value || null })}
            error={Boolean(of('dueOn'))}
            helperText={of('dueOn')}
            slotProps={{ inputLabel: { shrink: true } }}
          />
        </div>
        <div className={css.result}>
          <h2>The tray</h2>
          {typeof plan === 'string' ? (
            <p className={css.empty}>{plan}</p>
          ) : (
            <Tray cells={cells} rows={plan.rows} columns={plan.columns} shape={plan.shape} name="Tray">
              {(cell) => (
                <TrayCell
                  cell={cell}
                  words={named(cell.words, [...glazes, ...bodies])}
                  out={isOut(cell)}
                  proof={proofOf(cell)}
                  colours={Object.entries(cell.parts).map(([name, part]) => ({
                    colour: glazes.find((glaze) => glaze.id === name)?.colour ?? '#888888',
                    part,
                  }))}
                  onTurn={() => turn(cell)}
                />
              )}
            </Tray>
          )}
          {aliases.length > 0 && (
            <p>
              <b>This is a fraction of all combinations: these effects cannot be told apart.</b>{' '}
              {named(aliases.join('; '), [...glazes, ...bodies])}.
            </p>
          )}
          <div role="status">
            <dl className={css.totals}>
              <Total name="tests" value={String(inside.length)} />
              <Total name="pieces" value={String(needs.pieces)} />
              <Total name="clay" value={`${(needs.clayGrams / 1000).toFixed(1)} kg`} />
              {setup.form === 'ring strip' && (
                <Total name={`rings of 1.5 kg, ${needs.strips} strips each`} value={String(needs.rings)} />
              )}
              <Total name="shelf" value={`${(needs.shelfCm2 / 10_000).toFixed(2)} m²`} />
              {kilns.map((kiln) => (
                <Total
                  key={kiln.name}
                  name={`${loadsOf(needs.shelfCm2, kiln) === 1 ? 'load' : 'loads'} of ${kiln.name}`}
                  value={String(inside.length ? loadsOf(needs.shelfCm2, kiln) : 0)}
                />
              ))}
            </dl>
          </div>
          {Object.keys(needs.glazeGrams).length > 0 && (
            <p className="small quiet">
              Dry glaze on the pieces:{' '}
              {Object.entries(needs.glazeGrams)
                .map(([name, grams]) => `${named(name, glazes)} ${grams.toFixed(0)} g`)
                .join(', ')}
              . Estimated from area and thickness.
            </p>
          )}
          <FormErrors
            errors={errors.filter((error) => error.field === '' || error.field.startsWith('cells'))}
          />
          <Button variant="contained" disabled={isBusy || inside.length === 0} onClick={() => void save()}>
            {isBusy ? 'Planning' : `Plan ${needs.pieces} pieces`}
          </Button>
        </div>
      </div>
    </>
  );
}

function Total({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd className="figures">{value}</dd>
    </div>
  );
}
