'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { FORMS, formShape, type Form } from '@/core/vocabulary';
import { wayOf } from '@/core/coats';
import { makeAgain } from '@/core/rounds';
import type { PiecePage } from '@/records/pieces';
import { Choice, FormErrors, NumberField, QuantityField, SelectField } from '@/ui/kit';
import { drawnPiece } from '@/ui/drawn';
import { GuideWords } from '@/ui/frame';
import { PrintButton } from '@/ui/PrintButton';
import { Silhouette } from '@/ui/Silhouette';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { saveNewPieces } from '../actions';
import { draftLike } from '../model/fromPiece';
import { MakeSheet } from './MakeSheet';
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
          area: coat.area,
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
          <MakeFields {...{ ask, change, model, bodies }} />
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
        <MakeSheet
          {...{ sheet, names, count, spread }}
          isFlat={formShape(form).plan}
          cautions={[...new Set([...cautions, ...sheet.cautions])]}
        />
      </div>
    </>
  );
}

function isRound(form: Form): boolean {
  return form === 'cup' || form === 'bowl' || form === 'other';
}

interface FieldsProps {
  readonly ask: Asked;
  readonly change: (part: Partial<Asked>) => void;
  readonly model: PiecePage;
  readonly bodies: Props['bodies'];
}

function MakeFields({ ask, change, model, bodies }: FieldsProps) {
  const { form, heightMm, widthMm, count, bodyId } = ask;
  const isFlat = formShape(form).plan;
  return (
    <>
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
      <QuantityField
        dimension="length"
        label={isFlat ? 'Diameter' : 'Height'}
        value={heightMm}
        onChange={(value) => change(isFlat ? { heightMm: value, widthMm: value } : { heightMm: value })}
      />
      {!isFlat && (
        <QuantityField
          dimension="length"
          label={isRound(form) ? 'Widest' : 'Width'}
          value={widthMm}
          onChange={(value) => change({ widthMm: value })}
        />
      )}
      <NumberField label="Pieces" value={count} onChange={(value) => change({ count: value })} />
      <SelectField
        label="Clay"
        value={bodyId}
        onChange={(id) => change({ bodyId: id })}
        options={bodies.map((body) => [body.id, body.name] as const)}
      />
    </>
  );
}
