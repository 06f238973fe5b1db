'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { CLAY_MIXES, type ClayMix } from '@/core/vocabulary';
import { Choice, FormErrors, NumberField, SelectField, WordField } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { mixClay } from '../actions';
import type { BodyChoice } from '../model/draft';
import css from './pieces.module.css';

interface Props {
  readonly bodies: readonly BodyChoice[];
  readonly value: string;
  readonly onChange: (bodyId: string) => void;
  readonly error?: string | undefined;
}

/** The clay of a piece; one that is mixed of others, or stained, is made here. */
export function ClayField({ bodies, value, onChange, error }: Props) {
  const [isMixing, setIsMixing] = useState(false);
  const router = useRouter();
  return (
    <div>
      <SelectField
        label="Clay"
        value={bodies.some(({ id }) => id === value) ? value : ''}
        onChange={onChange}
        error={error}
        options={bodies.map((body) => [
          body.id,
          <span key={body.id}>
            <span className={css.chip} style={{ background: body.colour, marginRight: 8 }} />
            {body.name}
          </span>,
        ])}
      />
      <p className={css.more}>
        <button type="button" className={css.link} onClick={() => setIsMixing(!isMixing)}>
          {isMixing ? 'One clay' : 'Mixed or stained clay'}
        </button>
      </p>
      {isMixing && (
        <MixForm
          bodies={bodies}
          first={value}
          onMixed={(id) => {
            router.refresh();
            onChange(id);
            setIsMixing(false);
          }}
        />
      )}
    </div>
  );
}

/** What a clay is made of: another clay beside the first, or so much of something in it. */
function MixForm({
  bodies,
  first,
  onMixed,
}: {
  readonly bodies: readonly BodyChoice[];
  readonly first: string;
  readonly onMixed: (id: string) => void;
}) {
  const [how, setHow] = useState<ClayMix>('marbled');
  const [main, setMain] = useState(first);
  const [second, setSecond] = useState('');
  const [stain, setStain] = useState('');
  const [percent, setPercent] = useState<number | null>(null);
  const { run, isBusy, errors } = useMutation();
  const errorOf = (field: string) => errors.find((one) => one.field.startsWith(field))?.message;
  const isStained = how === 'stained';
  const options = bodies.map(({ id, name }) => [id, name] as const);
  const mix = async () => {
    const asked = isStained
      ? { how, bodyIds: [main].filter(Boolean), stain, percent }
      : { how, bodyIds: [main, second].filter(Boolean), stain: null, percent: null };
    const id = await run(() => mixClay(asked));
    if (id) onMixed(id);
  };
  return (
    <div className={css.mix} role="group" aria-label="Mixed or stained clay">
      <Choice label="How" options={CLAY_MIXES} value={how} onChange={(next) => next && setHow(next)} />
      <SelectField
        label={how === 'inlaid' ? 'Into' : 'Clay'}
        value={main}
        onChange={setMain}
        options={options}
        error={isStained || main === '' ? errorOf('bodyIds') : undefined}
      />
      {isStained ? (
        <div className={css.pair}>
          <WordField label="With" value={stain} onChange={setStain} error={errorOf('stain')} />
          <NumberField label="Percent" value={percent} onChange={setPercent} error={errorOf('percent')} />
        </div>
      ) : (
        <SelectField
          label={how === 'inlaid' ? 'Inlaid clay' : 'And'}
          value={second}
          onChange={setSecond}
          options={options}
          error={main === '' ? undefined : errorOf('bodyIds')}
        />
      )}
      <FormErrors errors={errors.filter(({ field }) => field === '')} />
      <Button size="small" variant="outlined" disabled={isBusy} onClick={() => void mix()}>
        Use this clay
      </Button>
    </div>
  );
}
