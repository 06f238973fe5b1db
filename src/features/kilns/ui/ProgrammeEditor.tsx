'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import dayjs from 'dayjs';
import { useMemo, useState } from 'react';
import {
  coneEquivalents,
  energyOf,
  faultsIn,
  predict,
  sayCone,
  untilPeak,
  type Segment,
} from '@/core/firing';
import type { KilnHabits, Kiln, Programme } from '@/records/firings';
import { Choice } from '@/ui/Choice';
import { FormErrors } from '@/ui/FormErrors';
import { NumberField } from '@/ui/NumberField';
import { ConflictNotice } from '@/ui/ConflictNotice';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { WordField } from '@/ui/WordField';
import { hours } from '@/features/shared/clock';
import { LogChart, type ChartLog } from '@/features/firings';
import { saveProgrammeForm } from '../actions';
import page from '@/ui/page.module.css';
import css from './programmes.module.css';

export interface ProgrammeFields {
  readonly id: string;
  readonly name: string;
  readonly segments: readonly Segment[];
  readonly note: string;
  readonly version: number | null;
}

/** A step as it is typed: blank fields are null. */
type Typed = { readonly [K in keyof Segment]: number | null };

interface Props {
  readonly programme: ProgrammeFields;
  readonly kilns: readonly Kiln[];
  readonly habits: readonly KilnHabits[];
  readonly mayWrite: boolean;
  readonly onDone: () => void;
}

const COLUMNS = { rate: 'Rate, °C/h', target: 'To, °C', hold: 'Hold, min' } as const;

/** The steps of a programme beside the curve they draw, the cone it comes to, and when the kiln can be opened. */
export function ProgrammeEditor({ programme, kilns, habits, mayWrite, onDone }: Props) {
  const [draft, setDraft, , drop] = usePersistedState<{
    name: string;
    note: string;
    segments: readonly Typed[];
  }>(`jiten.programme.${programme.version === null ? 'new' : programme.id}`, {
    name: programme.name,
    note: programme.note,
    segments: programme.segments,
  });
  const [kilnName, setKilnName] = useState(kilns[0]?.name ?? null);
  const [start, setStart] = useState(() => dayjs().hour(18).minute(0).format('YYYY-MM-DDTHH:mm'));
  const { run, isBusy, errors, theirs } = useMutation<Programme>();
  const kiln = kilns.find(({ name }) => name === kilnName);
  const habit = habits.find(({ kilnId }) => kilnId === kiln?.id);
  const whole = draft.segments.every(isWhole);
  const wrong = whole ? faultsIn(draft.segments as Segment[], kiln?.mostCelsius) : [];
  const sound = whole && wrong.length === 0 && draft.segments.length > 0;
  const forecast = useMemo(
    () => (sound ? predict(draft.segments as Segment[], habit?.climbs ?? []) : null),
    [sound, draft.segments, habit],
  );
  const change = (at: number, part: Partial<Typed>) =>
    setDraft({ ...draft, segments: draft.segments.map((one, i) => (i === at ? { ...one, ...part } : one)) });
  const of = (field: string) => errors.find((error) => error.field === `programme.${field}`)?.message;
  const save = async (version: number | null) => {
    const { name, note, segments } = draft;
    const kept = { id: programme.id, name, note, segments };
    if ((await run(() => saveProgrammeForm({ programme: kept, version }))) !== null) return;
    drop();
    onDone();
  };
  return (
    <form
      className={css.editor}
      aria-label="Programme"
      onSubmit={(event) => {
        event.preventDefault();
        void save(programme.version);
      }}
    >
      <div className={css.steps}>
        <WordField
          label="Name"
          value={draft.name}
          onChange={(name) => setDraft({ ...draft, name })}
          error={of('name')}
        />
        {draft.segments.map((segment, i) => (
          <fieldset key={i} className={css.step} aria-label={`Step ${i + 1}`}>
            <b className="figures">{i + 1}</b>
            {(Object.keys(COLUMNS) as (keyof Segment)[]).map((field) => (
              <NumberField
                key={field}
                label={COLUMNS[field]}
                value={segment[field]}
                onChange={(value) => change(i, { [field]: value })}
                error={
                  wrong.find((error) => error.segment === i && error.field === field)?.message ??
                  of(`segments.${i}.${field}`)
                }
              />
            ))}
            <Button
              variant="text"
              aria-label={`Take step ${i + 1} out`}
              onClick={() => setDraft({ ...draft, segments: draft.segments.filter((_, j) => j !== i) })}
            >
              Out
            </Button>
          </fieldset>
        ))}
        <Button
          onClick={() =>
            setDraft({
              ...draft,
              segments: [
                ...draft.segments,
                { rate: 60, target: draft.segments.at(-1)?.target ?? 1000, hold: 0 },
              ],
            })
          }
        >
          Add a step
        </Button>
        <WordField
          label="Note"
          value={draft.note}
          onChange={(note) => setDraft({ ...draft, note })}
          error={of('note')}
          multiline
        />
        {theirs ? (
          <ConflictNotice
            rows={[{ name: 'Name', mine: draft.name, theirs: theirs.name }]}
            onKeepMine={() => void save(theirs.version)}
          />
        ) : (
          <FormErrors errors={errors.filter(({ field }) => field === '' || field === 'programme.segments')} />
        )}
        {mayWrite && (
          <div className={page.acts}>
            <Button type="submit" variant="contained" disabled={isBusy || !sound}>
              Save this programme
            </Button>
            <Button
              variant="text"
              onClick={() => {
                drop();
                onDone();
              }}
            >
              Cancel
            </Button>
          </div>
        )}
      </div>
      <div className={css.result}>
        <div className={css.where}>
          <Choice
            label="Kiln"
            options={kilns.map(({ name }) => name)}
            value={kilnName}
            onChange={setKilnName}
          />
          <TextField
            label="Started"
            type="datetime-local"
            value={start}
            onChange={(event) => setStart(event.target.value)}
            slotProps={{ inputLabel: { shrink: true } }}
          />
        </div>
        {forecast && kiln ? (
          <>
            <p className={css.answer} role="status">
              {forecast.coneIndex === null
                ? `${forecast.peakCelsius} °C, outside the cones`
                : `Reaches cone ${sayCone(forecast.coneIndex)}`}
              , {hours(forecast.minutes)} h.
            </p>
            <p>{whenWords(forecast.minutes, habit?.coolHours ?? null, start, kiln)}</p>
            {forecast.behind.map(({ segment, celsius, asked, can }) => (
              <p key={segment} className="heat">
                Step {segment + 1} asks {Math.round(asked)} °C/h; above {Math.round(celsius)} °C {kiln.name}{' '}
                has not done more than {Math.round(can)}. It will fall behind.
              </p>
            ))}
            <LogChart log={drawnOf(forecast)} fahrenheit={false} name={draft.name || 'Programme'} />
            <p className="small quiet">
              About {Math.round(energyOf(forecast.curve, kiln.litres) / 5) * 5} kWh of heat, an estimate to a
              third either way. The cone is calculated from heat work along the curve; the kiln’s own offset
              is on its page.
            </p>
          </>
        ) : (
          <p className="quiet">Fill in the steps to see the curve.</p>
        )}
      </div>
    </form>
  );
}

function isWhole(segment: Typed): segment is Segment {
  return Object.values(segment).every((value) => value !== null && Number.isFinite(value));
}

/** A forecast as the chart draws it: no readings, the cone equivalent climbing beside it. */
function drawnOf({ curve, minutes, coneIndex }: ReturnType<typeof predict>): ChartLog {
  const fine = untilPeak(curve).flatMap((to, i, all) => {
    const from = all[i - 1];
    if (!from) return [to];
    return Array.from({ length: 24 }, (_, k) => ({
      minutes: from.minutes + ((to.minutes - from.minutes) * (k + 1)) / 24,
      celsius: from.celsius + ((to.celsius - from.celsius) * (k + 1)) / 24,
    }));
  });
  return {
    minutes,
    last: null,
    sensors: [],
    gaps: [],
    events: [],
    planned: curve,
    cone: coneIndex === null ? null : sayCone(coneIndex),
    equivalents: coneEquivalents(fine).flatMap((index, i) =>
      index === null ? [] : [{ minutes: fine[i]!.minutes, index }],
    ),
  };
}

/** When it ends and when the kiln can be opened, as its last firings cooled. */
function whenWords(
  minutes: number,
  coolHours: number | null,
  start: string,
  { name, openBelow }: Kiln,
): string {
  const begin = dayjs(start);
  if (!begin.isValid()) return '';
  const end = begin.add(minutes, 'minute');
  const ends = `Ends ${end.format('dddd HH:mm')}`;
  if (coolHours === null) return `${ends}. How ${name} cools is not known yet.`;
  return `${ends}; ready to open (below ${openBelow} °C) ${end.add(coolHours, 'hour').format('dddd')} about ${end.add(coolHours, 'hour').format('H')}.`;
}
