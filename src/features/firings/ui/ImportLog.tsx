'use client';
import { Said } from '@/ui/units';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { ulid } from 'ulid';
import { guessColumns, readLogRows, TIME_FORMATS, type LogColumns } from '@/core/firing';
import { Choice, FormErrors, NumberField } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { importFiringLog } from '../actions';
import css from './log.module.css';

interface File {
  readonly id: string;
  readonly name: string;
  readonly rows: readonly (readonly string[])[];
}

const SHOWN_ERRORS = 6;

/** Brings in a log another program wrote: which column is what, which lines cannot be read; the rest is kept. */
export function ImportLog({ firingId, onDone }: { firingId: string; onDone: () => void }) {
  const { run, isBusy, errors } = useMutation();
  const [file, setFile] = useState<File | null>(null);
  const [columns, setColumns] = useState<(LogColumns & { header: number }) | null>(null);
  const read = useMemo(
    () => (file && columns ? readLogRows(file.rows, columns.header, columns) : null),
    [file, columns],
  );
  const choose = async (chosen: globalThis.File | undefined) => {
    if (!chosen) return;
    const { parse } = await import('papaparse');
    const rows = parse<string[]>(await chosen.text(), { skipEmptyLines: false }).data;
    setFile({ id: ulid(), name: chosen.name, rows });
    setColumns(guessColumns(rows));
  };
  const names = Array.from(
    { length: Math.max(0, ...(file?.rows.slice(0, 50) ?? []).map((row) => row.length)) },
    (_, i) =>
      `${i + 1}${columns?.header ? `: ${file?.rows[columns.header - 1]?.[i]?.trim() || 'no name'}` : ''}`,
  );
  const change = (part: Partial<LogColumns & { header: number }>) =>
    setColumns((before) => before && { ...before, ...part });
  const count = read?.sensors[0]?.length ?? 0;
  const save = async () => {
    if (!file || !read) return;
    const sensors = read.sensors.map((readings) =>
      readings.map((reading) => ({ ...reading, target: null, oxygen: null })),
    );
    if ((await run(() => importFiringLog({ id: file.id, firingId, name: file.name, sensors }))) !== null)
      return;
    setFile(null);
    onDone();
  };
  return (
    <section aria-label="Import log">
      <Button component="label">
        {file ? 'Another file' : 'Import log file'}
        <input
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          hidden
          aria-label="Log file"
          onChange={(event) => void choose(event.target.files?.[0])}
        />
      </Button>
      {file && columns && (
        <div className={css.import}>
          <Choice
            label="Time is in column"
            options={names}
            value={names[columns.time] ?? null}
            onChange={(name) => change({ time: names.indexOf(name ?? '') })}
          />
          <Choice
            label="Times are written as"
            options={TIME_FORMATS}
            value={columns.format}
            onChange={(format) => change({ format: format ?? 'minutes' })}
          />
          <Choice
            label="Degrees are"
            options={['°C', '°F'] as const}
            value={columns.unit === 'F' ? '°F' : '°C'}
            onChange={(unit) => change({ unit: unit === '°F' ? 'F' : 'C' })}
          />
          <NumberField
            label="Lines at the top without readings"
            value={columns.header}
            onChange={(header) => header !== null && change({ header: Math.max(0, Math.round(header)) })}
          />
          <fieldset className={css.columns}>
            <legend className="small quiet">Temperatures, one column a thermocouple</legend>
            {names.map((name, i) => (
              <label key={name}>
                <input
                  type="checkbox"
                  checked={columns.temperatures.includes(i)}
                  disabled={i === columns.time}
                  onChange={() =>
                    change({
                      temperatures: columns.temperatures.includes(i)
                        ? columns.temperatures.filter((one) => one !== i)
                        : [...columns.temperatures, i],
                    })
                  }
                />{' '}
                {name}
              </label>
            ))}
          </fieldset>
          <p role="status">
            <b className="figures">{count}</b> readings can be read
            {read && read.errors.length > 0 && (
              <>
                , <b className="figures">{read.errors.length}</b> lines cannot be read:
              </>
            )}
          </p>
          {read && read.errors.length > 0 && (
            <ul className="small">
              {read.errors.slice(0, SHOWN_ERRORS).map(({ line, message }) => (
                <li key={line}>
                  line <span className="figures">{line}</span>: <Said of={message} />
                </li>
              ))}
              {read.errors.length > SHOWN_ERRORS && <li>and {read.errors.length - SHOWN_ERRORS} more</li>}
            </ul>
          )}
          <FormErrors errors={errors} />
          <Button variant="contained" disabled={isBusy || count === 0} onClick={() => void save()}>
            Import these {count} readings
          </Button>
        </div>
      )}
    </section>
  );
}
