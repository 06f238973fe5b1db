'use client';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { FORMS, formShape, type Form } from '@/core/vocabulary';
import { timesWords, wayOf } from '@/core/coats';
import { makeAgain, type MakeLine } from '@/core/rounds';
import type { PiecePage } from '@/records/pieces';
import { Choice, DataTable, FormErrors, NumberField } from '@/ui/kit';
import { drawnPiece } from '@/ui/drawn';
import { GuideWords } from '@/ui/frame';
import { PrintButton } from '@/ui/PrintButton';
import { Silhouette } from '@/ui/Silhouette';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { saveNewPieces } from '../actions';
import { draftLike } from '../model/fromPiece';
import css from './make.module.css';

interface Props {
  readonly model: PiecePage;
  readonly bodies: readonly { readonly id: string; readonly name: string }[];
  /** What its entries show, in words: movement at worst, and how closely twins agree. */
  readonly movement: string | null;
  readonly spread: readonly string[];
  /** What to mind of its glazes. */
  readonly cautions: readonly string[];
}

/** What the next pieces are to be, as it is typed: a blank number is null. */
interface Asked {
  readonly form: Form;
  readonly heightMm: number | null;
  readonly widthMm: number | null;
  readonly count: number | null;
  readonly bodyId: string;
}

/** A piece made again, perhaps on another form and size: the work sheet, and the new pieces linked to their model. */
export function MakeView({ model, bodies, movement, spread, cautions }: Props) {
  const router = useRouter();
  const [ask, setAsk, , drop] = usePersistedState<Asked>(`jiten.make.${model.id}`, {
    form: model.form,
    heightMm: model.heightMm,
    widthMm: model.widthMm,
    count: 1,
    bodyId: model.bodyId,
  });
  const change = (part: Partial<typeof ask>) => setAsk((before) => ({ ...before, ...part }));
  const { run, isBusy, errors } = useMutation();
  const [idOf, kept] = useIdempotentId();
  const [made, setMade] = useState<readonly { id: string; label: string }[]>([]);
  const names = new Map(model.coats.map((coat) => [coat.glazeId, coat.glazeName]));
  const { form, heightMm, widthMm, bodyId } = ask;
  const count = Math.min(60, Math.max(1, Math.round(ask.count ?? 1)));
  const next = useMemo(
    () => ({ form, heightMm: heightMm || model.heightMm, widthMm: widthMm || model.widthMm }),
    [form, heightMm, widthMm, model],
  );
  const sheet = useMemo(
    () =>
      makeAgain(
        model.coats.map((coat) => ({
          glaze: coat.glazeId,
          way: wayOf(coat.method),
          times: coat.times,
          seconds: coat.seconds,
          side: coat.side,
          from: coat.from,
          to: coat.to,
        })),
        model,
        next,
        movement,
        count,
      ),
    [model, next, movement, count],
  );
  const draft = {
    ...draftLike(model),
    ...next,
    bodyId,
    split: model.split && formShape(form).canSplit,
    coats: draftLike(model).coats.map((coat, i) => ({ ...coat, side: sheet.lines[i]!.side })),
  };
  const save = async () => {
    const ids = Array.from({ length: count }, (_, i) => idOf([i, draft]));
    const saved = await run(() => saveNewPieces({ ids, draft, modelId: model.id }));
    if (!saved) return;
    ids.forEach((_, i) => kept([i, draft]));
    drop();
    setMade(saved);
    router.refresh();
  };
  const all = [...new Set([...cautions, ...sheet.cautions])];
  return (
    <>
      <GuideWords first={`After ${model.label}`} />
      <h1>
        Made again like{' '}
        <Link href={`/pieces/${model.label}`} className="figures">
          {model.label}
        </Link>
      </h1>
      <div className={css.columns}>
        <div className={`${css.fields} no-print`}>
          <Choice
            label="Form"
            options={FORMS}
            value={form}
            onChange={(value) => {
              const to = value ?? model.form;
              const { heightMm: h, widthMm: w } = to === model.form ? model : formShape(to);
              change({ form: to, heightMm: h, widthMm: w });
            }}
          />
          <NumberField
            label={form === 'plate' ? 'Diameter, mm' : 'Height, mm'}
            value={heightMm}
            onChange={(value) =>
              change(form === 'plate' ? { heightMm: value, widthMm: value } : { heightMm: value })
            }
          />
          {form !== 'plate' && (
            <NumberField
              label={isRound(form) ? 'Widest, mm' : 'Width, mm'}
              value={widthMm}
              onChange={(value) => change({ widthMm: value })}
            />
          )}
          <NumberField label="Pieces" value={ask.count} onChange={(value) => change({ count: value })} />
          <TextField
            select
            label="Clay"
            value={bodyId}
            onChange={(event) => change({ bodyId: event.target.value })}
          >
            {bodies.map((body) => (
              <MenuItem key={body.id} value={body.id}>
                {body.name}
              </MenuItem>
            ))}
          </TextField>
          {bodyId !== model.bodyId && (
            <p className="heat small">Another clay is another entry: check the wall first.</p>
          )}
          <FormErrors errors={errors} />
          <Button variant="contained" disabled={isBusy} onClick={() => void save()}>
            {isBusy ? 'Saving' : `Log ${count === 1 ? 'this piece' : `these ${count} pieces`}`}
          </Button>
          <PrintButton quiet>Print the sheet</PrintButton>
          {made.length > 0 && (
            <p role="status" className="good">
              Saved:{' '}
              {made.map(({ id, label }) => (
                <Link key={id} href={`/pieces/${label}`} className="figures">
                  {label}{' '}
                </Link>
              ))}
            </p>
          )}
        </div>
        <div className={css.drawing}>
          <Silhouette {...drawnPiece({ ...model, ...next, split: draft.split })} size={240} strip />
        </div>
        <div>
          <DataTable
            label="Coats to apply"
            columns={[
              { name: 'Coat', isHead: true },
              { name: form === 'plate' ? 'From the centre, mm' : 'Above the foot, mm', align: 'right' },
              { name: 'Area, cm²', align: 'right' },
              { name: 'Dry, g', align: 'right' },
            ]}
            rows={[
              ...sheet.lines.map((line, i) => ({
                key: String(i),
                cells: [
                  <CoatWords key="coat" line={line} name={names.get(line.glaze) ?? ''} />,
                  `${line.fromMm.toFixed(0)} to ${line.toMm.toFixed(0)}`,
                  line.areaCm2.toFixed(0),
                  line.dryGrams.toFixed(1),
                ],
              })),
              ...Object.entries(sheet.grams).map(([glaze, grams]) => ({
                key: glaze,
                cells: [
                  `${names.get(glaze)}, on ${count} ${count === 1 ? 'piece' : 'pieces'}`,
                  '',
                  '',
                  <b key="grams">{grams.toFixed(1)}</b>,
                ],
              })),
            ]}
          />
          <p className="small quiet">
            What stays on the ware: area × raw thickness (0.6 mm for a dip, 0.2 mm for a brushed coat) × 1.45
            g/cm³. These are estimates; your own measurements count more. The bucket needs more than this to
            dip in.
          </p>
          <h2>What to expect</h2>
          <ul>
            {spread.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          {all.length > 0 && (
            <>
              <h2>Caution</h2>
              <ul className="heat">
                {all.map((words) => (
                  <li key={words}>{words}</li>
                ))}
              </ul>
            </>
          )}
        </div>
      </div>
    </>
  );
}

function isRound(form: Form): boolean {
  return form === 'cup' || form === 'bowl' || form === 'other';
}

function CoatWords({ line, name }: { line: MakeLine; name: string }) {
  return (
    <>
      <b>{name}</b>, {line.way === 'brushed' ? `${line.times} brushed` : timesWords(line.times)}
      {line.seconds !== null && `, ${line.seconds} s`}
      {line.side !== 'outside' && `, ${line.side}`}
    </>
  );
}
