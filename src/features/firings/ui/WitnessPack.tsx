'use client';
import Button from '@mui/material/Button';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { ulid } from 'ulid';
import { CONES, type Cone } from '@/core/vocabulary';
import { misreadsInReduction, readPack, sayPack, usualPack } from '@/core/firing';
import type { ShelfCone } from '@/records/firings';
import { Choice, FormErrors } from '@/ui/kit';
import { ConeDrawing } from '@/ui/ConeDrawing';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { saveWitness } from '../actions';
import css from './log.module.css';

interface Props {
  readonly firingId: string;
  readonly target: Cone;
  readonly shelves: number;
  readonly reduction: boolean;
  /** °C/h over the last 100 °C. */
  readonly rate: number;
  readonly saved: readonly ShelfCone[];
  readonly mayWrite: boolean;
  readonly onDone: () => void;
}

/** The witness cones of a firing, each turned with a finger or by keys to the bend that is seen. */
export function WitnessPack({ firingId, target, shelves, reduction, rate, saved, mayWrite, onDone }: Props) {
  const fresh = (shelf: number): SetCone[] => usualPack(target).map((cone) => ({ cone, shelf, bend: null }));
  const { run, isBusy, errors } = useMutation();
  const [cones, setCones, , drop] = usePersistedState<readonly SetCone[]>(
    `jiten.cones.${firingId}.${saved.map(({ cone, bend, shelf }) => `${shelf}-${cone}-${bend}`).join()}`,
    saved.length ? saved : fresh(Math.ceil(shelves / 2)),
  );
  const packs = [...new Set(cones.map(({ shelf }) => shelf))].sort((a, b) => b - a);
  const read = cones.filter(isRead);
  const changed = JSON.stringify(read) !== JSON.stringify(saved);
  const save = async () => {
    const all = read.map((cone) => ({ ...cone, id: ulid() }));
    if ((await run(() => saveWitness({ firingId, cones: all }))) !== null) return;
    drop();
    onDone();
  };
  const turn = (at: number, bend: number) =>
    setCones(cones.map((one, i) => (i === at ? { ...one, bend } : one)));
  const free = Array.from({ length: shelves }, (_, i) => i + 1).find((shelf) => !packs.includes(shelf));
  return (
    <section aria-label="Witness cones" className={css.witness}>
      <h2>Witness cones</h2>
      {packs.map((shelf) => {
        const pack = cones.filter((one) => one.shelf === shelf);
        const reading = readPack(pack.filter(isRead), rate);
        return (
          <div key={shelf} className={css.pack}>
            <div className={css.packHead}>
              <Choice
                label="Shelf"
                options={Array.from({ length: shelves }, (_, i) => String(i + 1))}
                value={String(shelf)}
                onChange={(to) =>
                  setCones(cones.map((one) => (one.shelf === shelf ? { ...one, shelf: Number(to) } : one)))
                }
              />
              <Choice
                label="Add a cone"
                options={CONES.filter((cone) => !pack.some((one) => one.cone === cone))}
                value={null}
                onChange={(cone) =>
                  cone &&
                  setCones(
                    [...cones, { cone, shelf, bend: null }].sort(
                      (a, b) => CONES.indexOf(a.cone) - CONES.indexOf(b.cone),
                    ),
                  )
                }
              />
              {mayWrite && packs.length > 1 && (
                <Button variant="text" onClick={() => setCones(cones.filter((one) => one.shelf !== shelf))}>
                  Remove this pack
                </Button>
              )}
            </div>
            <div className={css.cones}>
              {cones.map((one, i) =>
                one.shelf === shelf ? (
                  <Turned
                    key={one.cone}
                    cone={one.cone}
                    bend={one.bend}
                    fixed={!mayWrite}
                    onTurn={(bend) => turn(i, bend)}
                    onDrop={() => setCones(cones.filter((_, j) => j !== i))}
                  />
                ) : null,
              )}
            </div>
            {reading && (
              <p role="status">
                This pack shows <b>{sayPack(reading)}</b>.
              </p>
            )}
            {reading?.contradictions.map((text) => (
              <p key={text} className="heat">
                {text} Check these cones: one of them may have been set wrong.
              </p>
            ))}
            {reduction && pack.some(({ cone }) => misreadsInReduction(cone)) && (
              <p className="small quiet">Cones 010 to 3 carry iron and misread in reduction.</p>
            )}
          </div>
        );
      })}
      {read.length < cones.length && mayWrite && (
        <p className="small quiet">Tap how each cone bent. Those that nobody read are not saved.</p>
      )}
      <FormErrors errors={errors} />
      {mayWrite && (
        <div className={css.packEnd}>
          <Button variant="contained" disabled={isBusy || !changed} onClick={() => void save()}>
            {changed || read.length === 0 ? 'Save cones' : 'Cones saved'}
          </Button>
          {free !== undefined && (
            <Button onClick={() => setCones([...cones, ...fresh(free)])}>Add cone pack</Button>
          )}
        </div>
      )}
    </section>
  );
}

/** A cone as it stands in its pack; its bend is null until somebody has looked. */
type SetCone = Omit<ShelfCone, 'bend'> & { readonly bend: number | null };

const isRead = (cone: SetCone): cone is ShelfCone => cone.bend !== null;

interface TurnedProps {
  readonly cone: Cone;
  /** Null until somebody has looked. */
  readonly bend: number | null;
  readonly fixed: boolean;
  readonly onTurn: (bend: number) => void;
  readonly onDrop: () => void;
}

/** Bends that are one tap away. */
const BENDS = [
  [0, 'upright'],
  [45, 'half'],
  [90, 'flat'],
] as const;

const KEYS: Readonly<Record<string, number>> = {
  ArrowRight: 5,
  ArrowUp: -5,
  ArrowLeft: -5,
  ArrowDown: 5,
  PageUp: -15,
  PageDown: 15,
};

/** One cone that follows a finger from upright to flat. */
function Turned({ cone, bend, fixed, onTurn, onDrop }: TurnedProps) {
  const box = useRef<HTMLDivElement>(null);
  const [held, setHeld] = useState(false);
  const set = (value: number) => !fixed && onTurn(Math.min(90, Math.max(0, Math.round(value))));
  const follow = (event: PointerEvent) => {
    const frame = box.current!.getBoundingClientRect();
    // The foot of the drawing stands a quarter from the left and near the bottom.
    const [x, y] = [
      event.clientX - frame.left - frame.width * 0.26,
      frame.top + frame.height * 0.87 - event.clientY,
    ];
    const angle = (Math.atan2(x, y) * 180) / Math.PI;
    set(((angle - 8) / 82) * 90);
  };
  const key = (event: KeyboardEvent) => {
    const step = KEYS[event.key];
    if (step === undefined && event.key !== 'Home' && event.key !== 'End') return;
    event.preventDefault();
    set(event.key === 'Home' ? 0 : event.key === 'End' ? 90 : (bend ?? 0) + step!);
  };
  const words = bend === null ? 'not read' : bend >= 88 ? 'flat' : bend <= 10 ? 'upright' : `${bend}°`;
  return (
    <div className={css.cone}>
      <div
        ref={box}
        role="slider"
        tabIndex={fixed ? -1 : 0}
        aria-label={`Cone ${cone}, bend`}
        aria-valuemin={0}
        aria-valuemax={90}
        aria-valuenow={bend ?? 0}
        aria-valuetext={words}
        aria-readonly={fixed}
        className={css.turned}
        data-unread={bend === null || undefined}
        onKeyDown={key}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setHeld(true);
          follow(event);
        }}
        onPointerMove={(event) => held && follow(event)}
        onPointerUp={() => setHeld(false)}
        onPointerCancel={() => setHeld(false)}
      >
        <ConeDrawing bend={bend ?? 0} size={120} />
      </div>
      <b>
        {cone} <span className="quiet">{words}</span>
      </b>
      {!fixed && (
        <span className={css.bends}>
          {BENDS.map(([degrees, name]) => (
            <button
              key={name}
              type="button"
              aria-label={`Cone ${cone} ${name}`}
              aria-pressed={bend === degrees}
              onClick={() => set(degrees)}
            >
              {name}
            </button>
          ))}
        </span>
      )}
      {!fixed && (
        <button type="button" className={css.strike} onClick={onDrop} aria-label={`Remove cone ${cone}`}>
          remove
        </button>
      )}
    </div>
  );
}
