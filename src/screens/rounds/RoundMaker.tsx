'use client';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useMemo, useRef, type PointerEvent } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { ulid } from 'ulid';
import { BUILT_IN } from '@/core/chemistry';
import { formShape } from '@/core/coats';
import { CONES } from '@/core/firing';
import { loadsOf, needsOf, provedBy, type Cell } from '@/core/rounds';
import type { KnownStack } from '@/records/rounds';
import { Choice } from '@/ui/Choice';
import { Faults } from '@/ui/Faults';
import { GuideWords } from '@/ui/frame';
import { NumberField } from '@/ui/NumberField';
import { Swatch } from '@/ui/Swatch';
import { useAct } from '@/ui/useAct';
import { useKept } from '@/ui/useKept';
import { WordField } from '@/ui/WordField';
import { layOutRound } from './actions';
import {
  FIRST_SETUP,
  GLAZES_OF,
  isBlend,
  KINDS,
  knownOf,
  named,
  planOf,
  type Kind,
  type NamedRecipe,
  type Setup,
} from './setup';
import { Tray } from './Tray';
import css from './rounds.module.css';

interface Props {
  readonly glazes: readonly NamedRecipe[];
  readonly bodies: readonly { readonly id: string; readonly name: string }[];
  readonly kilns: readonly { readonly name: string; readonly litres: number; readonly shelves: number }[];
  readonly known: readonly KnownStack[];
}

/** A round in one page, left to right: the question, what varies, what stays, and the tray as it will stand. */
export function RoundMaker({ glazes, bodies, kilns, known }: Props) {
  const router = useRouter();
  const [setup, setSetup, , drop] = useKept<Setup>('jiten.round', FIRST_SETUP);
  const change = (part: Partial<Setup>) => setSetup((before) => ({ ...before, ...part }));
  const id = useRef(ulid());
  const { act, busy, faults } = useAct();
  const of = (field: string) => faults.find((fault) => fault.field === field)?.message;
  const chosenBodies = setup.bodies.filter((one) => bodies.some((body) => body.id === one));
  const bodyId = chosenBodies[0] ?? bodies[0]?.id ?? '';
  const plan = useMemo(() => planOf(setup, glazes, setup.bodies), [setup, glazes]);
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
    const draft = {
      id: id.current,
      name:
        setup.name ||
        `${KINDS[setup.kind]}: ${glazes.find((glaze) => glaze.id === setup.glazes[0])?.name ?? ''}`,
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
      colour: glazes.find((glaze) => glaze.id === setup.glazes[0])?.colour ?? '#888888',
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
    if ((await act(() => layOutRound(draft))) === undefined) return;
    drop();
    router.push(`/rounds/${id.current}`);
  };
  useHotkeys('mod+enter', () => void save(), { enableOnFormTags: true });

  return (
    <>
      <GuideWords first="New round" />
      <h1>What do you want to know?</h1>
      <div className={css.maker}>
        <div className={css.kinds} role="radiogroup" aria-label="Question">
          {(Object.keys(KINDS) as Kind[]).map((kind) => (
            <button
              key={kind}
              type="button"
              role="radio"
              aria-checked={setup.kind === kind}
              onClick={() => change({ kind, out: [], taken: [] })}
            >
              {KINDS[kind]}
            </button>
          ))}
        </div>
        <Varies {...{ setup, change, glazes, bodies }} />
        <div className={css.stays}>
          <h2>What stays</h2>
          <WordField
            label="Name of the round"
            value={setup.name}
            onChange={(name) => change({ name })}
            fault={of('name')}
          />
          {setup.kind !== 'clays' && (
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
              options={['oxidation', 'neutral', 'reduction'] as const}
              value={setup.atmosphere}
              onChange={(atmosphere) => change({ atmosphere: atmosphere ?? 'oxidation' })}
            />
            <Choice
              label="Form"
              options={['tile', 'ring strip'] as const}
              value={setup.form}
              onChange={(form) => change({ form: form ?? 'tile' })}
            />
            <NumberField
              label="Of each"
              value={setup.twins}
              onChange={(twins) => twins && change({ twins: Math.round(twins) })}
              fault={of('twins')}
            />
          </div>
          <p className="small quiet">
            {setup.twins > 1
              ? 'Twins tell an accident from a result.'
              : 'One of each proves little: a single tile that differs may be a slip of the hand.'}
          </p>
          <TextField
            label="Wanted by"
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
          <dl className={css.totals} role="status">
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
          {Object.keys(needs.glazeGrams).length > 0 && (
            <p className="small quiet">
              Dry glaze on the pieces:{' '}
              {Object.entries(needs.glazeGrams)
                .map(([name, grams]) => `${named(name, glazes)} ${grams.toFixed(0)} g`)
                .join(', ')}
              . Estimated from area and thickness.
            </p>
          )}
          <Faults faults={faults.filter((fault) => fault.field === '' || fault.field.startsWith('cells'))} />
          <Button variant="contained" disabled={busy || inside.length === 0} onClick={() => void save()}>
            {busy ? 'Laying out' : `Lay out ${needs.pieces} pieces`}
          </Button>
        </div>
      </div>
    </>
  );
}

function Total({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dd className="figures">{value}</dd>
      <dt>{name}</dt>
    </div>
  );
}

function Varies({
  setup,
  change,
  glazes,
  bodies,
}: Pick<Props, 'glazes' | 'bodies'> & { setup: Setup; change: (part: Partial<Setup>) => void }) {
  const { least, most } = GLAZES_OF[setup.kind];
  const many = most > 4;
  const setGlaze = (i: number, name: string | null) => {
    const id = glazes.find((glaze) => glaze.name === name)?.id;
    const next = [...setup.glazes];
    if (id) next[i] = id;
    change({ glazes: next });
  };
  const corners = ['line', 'triaxial', 'corners'].includes(setup.kind);
  const stepped = ['line', 'triaxial', 'ladder', 'crazing', 'coats'].includes(setup.kind);
  return (
    <div className={css.varies}>
      <h2>What varies</h2>
      {many ? (
        <Autocomplete
          multiple
          options={glazes.map((glaze) => glaze.id)}
          getOptionLabel={(one) => glazes.find((glaze) => glaze.id === one)?.name ?? '?'}
          value={setup.glazes.filter((one) => glazes.some((glaze) => glaze.id === one))}
          onChange={(_, next) => change({ glazes: next })}
          disableCloseOnSelect
          renderInput={(params) => <TextField {...params} label="Glazes" />}
        />
      ) : (
        Array.from({ length: least }, (_, i) => (
          <Choice
            key={i}
            label={corners ? `Corner ${'ABCD'[i]}` : 'Base glaze'}
            options={glazes.map((glaze) => glaze.name)}
            value={glazes.find((glaze) => glaze.id === setup.glazes[i])?.name ?? null}
            onChange={(name) => setGlaze(i, name)}
          />
        ))
      )}
      {setup.kind === 'clays' && (
        <Autocomplete
          multiple
          options={bodies.map((body) => body.id)}
          getOptionLabel={(one) => bodies.find((body) => body.id === one)?.name ?? '?'}
          value={setup.bodies.filter((one) => bodies.some((body) => body.id === one))}
          onChange={(_, next) => change({ bodies: next })}
          disableCloseOnSelect
          renderInput={(params) => <TextField {...params} label="Clays" />}
        />
      )}
      {stepped && (
        <NumberField
          label={
            setup.kind === 'triaxial'
              ? 'Cells along an edge'
              : setup.kind === 'coats'
                ? 'Up to so many coats'
                : 'Steps, ends counted'
          }
          value={setup.steps}
          onChange={(steps) => steps && steps >= 1 && change({ steps: Math.round(steps) })}
        />
      )}
      {setup.kind === 'corners' && (
        <div className={css.pair}>
          <NumberField
            label="Across"
            value={setup.columns}
            onChange={(n) => n && change({ columns: Math.round(n) })}
          />
          <NumberField
            label="Down"
            value={setup.rows}
            onChange={(n) => n && change({ rows: Math.round(n) })}
          />
        </div>
      )}
      {setup.kind === 'overlap' && (
        <FormControlLabel
          control={
            <Switch
              checked={setup.singlesTwice}
              onChange={(event) => change({ singlesTwice: event.target.checked })}
            />
          }
          label="Each alone twice as well"
        />
      )}
      {setup.kind === 'ladder' &&
        setup.additions.map((addition, i) => (
          <div key={i} className={css.pair}>
            <Autocomplete
              freeSolo
              options={BUILT_IN.materials.map((material) => material.name)}
              inputValue={addition.material}
              onInputChange={(_, material) =>
                change({ additions: setup.additions.map((one, k) => (k === i ? { ...one, material } : one)) })
              }
              renderInput={(params) => <TextField {...params} label="Adding" />}
            />
            <NumberField
              label="% more each step"
              value={addition.step}
              onChange={(step) =>
                change({
                  additions: setup.additions.map((one, k) => (k === i ? { ...one, step: step ?? 0 } : one)),
                })
              }
            />
          </div>
        ))}
      {setup.kind === 'ladder' && (
        <Button
          size="small"
          onClick={() => change({ additions: [...setup.additions, { material: '', step: 1 }] })}
        >
          Another addition
        </Button>
      )}
      {setup.kind === 'crazing' && (
        <p className="small quiet">
          1¼ % silica and 1 % kaolin more at each step: a gloss stays a gloss. The first tile is the control.
        </p>
      )}
    </div>
  );
}

interface TrayCellProps {
  readonly cell: Cell;
  readonly words: string;
  readonly out: boolean;
  readonly proof: KnownStack | undefined;
  readonly colours: readonly { readonly colour: string; readonly part: number }[];
  readonly onTurn: () => void;
}

/** One place of the tray: tap or drag over it to leave it out or take it in. */
function TrayCell({ cell, words, out, proof, colours, onTurn }: TrayCellProps) {
  const dragged = (event: PointerEvent) => event.buttons === 1 && onTurn();
  const title = [
    `${cell.label}: ${words}`,
    proof && `${proof.agreeing} of ${proof.proofs} proofs agree`,
    out ? 'left out' : '',
  ]
    .filter(Boolean)
    .join('; ');
  return (
    <button
      type="button"
      className={css.cell}
      aria-pressed={!out}
      aria-label={title}
      title={title}
      onPointerDown={(event) => {
        event.currentTarget.releasePointerCapture?.(event.pointerId);
        onTurn();
      }}
      onPointerEnter={dragged}
      onClick={(event) => event.detail === 0 && onTurn()}
    >
      {proof?.swatchHash ? (
        <Swatch hash={proof.swatchHash} colour={null} width={60} height={40} />
      ) : (
        <span className={css.bands}>
          {colours.map(({ colour, part }, i) => (
            <span key={i} style={{ background: colour, flexGrow: part }} />
          ))}
        </span>
      )}
      <b>{cell.label}</b>
    </button>
  );
}
