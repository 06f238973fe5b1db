'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { FORMS, formShape, type Form } from '@/core/vocabulary';
import { wayOf } from '@/core/coats';
import { makeAgain } from '@/core/rounds';
import type { PiecePage } from '@/records/pieces';
import { FormErrors, NumberField, QuantityField, SelectField } from '@/ui/kit';
import { drawnPiece } from '@/ui/drawn';
import { GuideWords } from '@/ui/frame';
import { PrintButton } from '@/ui/PrintButton';
import { Silhouette } from '@/ui/silhouette';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { saveNewPieces } from '../actions';
import { areasOn, type FormChoice } from '../model/draft';
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
  /** The studio's own forms. */
  readonly ownForms: readonly FormChoice[];
}

/** What the next pieces are to be, as it is typed: a blank number is null. */
interface Asked {
  readonly form: Form;
  /** The form of the studio; null for one of the library. */
  readonly formId: string | null;
  readonly heightMm: number | null;
  readonly widthMm: number | null;
  readonly count: number | null;
  readonly bodyId: string;
  /** Coats that keep their bands in centimetres, by their place. */
  readonly inCm: readonly number[];
}

/** A piece made again, perhaps on another form and size: the work sheet, and the new pieces linked to their model. */
export function MakeView({ model, bodies, movement, spread, cautions, ownForms }: Props) {
  const router = useRouter();
  const [ask, setAsk, , drop] = usePersistedState<Asked>(`jiten.make.${model.id}`, {
    ...{ form: model.form, formId: model.formId, heightMm: model.heightMm, widthMm: model.widthMm },
    ...{ count: 1, bodyId: model.bodyId, inCm: [] },
  });
  const change = (part: Partial<typeof ask>) => setAsk((before) => ({ ...before, ...part }));
  const { run, isBusy, errors } = useMutation();
  const [idOf, kept] = useIdempotentId();
  const [made, setMade] = useState<readonly { id: string; label: string }[]>([]);
  const names = new Map(model.coats.map((coat) => [coat.glazeId, coat.glazeName]));
  const { form, heightMm, widthMm, bodyId, inCm = [], formId = null } = ask;
  const count = Math.min(60, Math.max(1, Math.round(ask.count ?? 1)));
  const next = useMemo(
    () => ({
      form,
      profile: formId === model.formId ? model.profile : (ownOf(ownForms, formId)?.profile ?? null),
      heightMm: heightMm || model.heightMm,
      widthMm: widthMm || model.widthMm,
    }),
    [form, formId, ownForms, heightMm, widthMm, model],
  );
  const sheet = useMemo(
    () =>
      makeAgain({
        coats: model.coats.map((coat) => ({
          ...coat,
          glaze: coat.glazeId,
          way: wayOf(coat.method),
        })),
        areas: model.areas,
        ...{ model, next, movement, count, inCm: new Set(inCm) },
      }),
    [model, next, movement, count, inCm],
  );
  const split = model.split && formShape(form).canSplit;
  const areas = useMemo(() => areasOn({ form, split }, model), [form, split, model]);
  const draft = {
    ...draftLike(model),
    ...next,
    ...{ formId, bodyId, split, areas },
    coats: draftLike(model).coats.map((coat, i) => {
      const { side, from, to } = sheet.lines[i]!;
      return { ...coat, side, from, to };
    }),
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
          <MakeFields {...{ ask, change, model, bodies, ownForms }} />
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
          <Silhouette
            {...drawnPiece({
              ...{ ...model, ...next, split, areas },
              coats: model.coats.map((coat, i) => {
                const { side, from, to } = sheet.lines[i]!;
                return { ...coat, side, from, to };
              }),
            })}
            size={240}
            strip
          />
        </div>
        <MakeSheet
          {...{ sheet, names, count, spread }}
          inCm={inCm}
          onInCm={(i) => change({ inCm: inCm.includes(i) ? inCm.filter((one) => one !== i) : [...inCm, i] })}
          isFlat={formShape(form).plan}
          cautions={[...new Set([...cautions, ...sheet.cautions])]}
        />
      </div>
    </>
  );
}

const ownOf = (forms: readonly FormChoice[], id: string | null) => forms.find((one) => one.id === id);

interface FieldsProps {
  readonly ask: Asked;
  readonly change: (part: Partial<Asked>) => void;
  readonly model: PiecePage;
  readonly bodies: Props['bodies'];
  readonly ownForms: readonly FormChoice[];
}

function MakeFields({ ask, change, model, bodies, ownForms }: FieldsProps) {
  const { form, formId = null, heightMm, widthMm, count, bodyId } = ask;
  const isFlat = formShape(form).plan;
  return (
    <>
      <SelectField<string>
        label="Form"
        value={formId ?? form}
        onChange={(key) => {
          const own = ownOf(ownForms, key);
          const to = own ?? { form: key as Form, ...formShape(key as Form) };
          const { heightMm: h, widthMm: w } = key === (model.formId ?? model.form) ? model : to;
          change({ form: to.form, formId: own?.id ?? null, heightMm: h, widthMm: w });
        }}
        options={[
          ...ownForms.map(({ id, name }) => [id, name] as const),
          ...FORMS.map((one) => [one, one] as const),
        ]}
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
          label={formShape(form).isFlat ? 'Width' : 'Widest'}
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
