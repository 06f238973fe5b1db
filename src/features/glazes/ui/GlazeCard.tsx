'use client';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useRouter } from 'next/navigation';
import { ulid } from 'ulid';
import { GLAZE_KINDS, MOVEMENTS, SURFACES } from '@/core/vocabulary';
import type { Glaze, GlazeDraft } from '@/records/materials';
import { Card } from '@/ui/Card';
import { Choice } from '@/ui/Choice';
import { ColourField } from '@/ui/ColourField';
import css from '@/ui/cards.module.css';
import { useMutation } from '@/ui/useMutation';
import { WordField } from '@/ui/WordField';
import { usePersistedState } from '@/ui/usePersistedState';
import { saveGlazeCard } from '../actions';

/** A fresh card. */
function blank(): GlazeDraft {
  return {
    id: ulid(),
    name: '',
    kind: 'glaze',
    colour: '#c8c0b0',
    surface: null,
    movement: null,
    opaque: true,
    decorative: false,
    advice: '',
    caution: '',
  };
}

/** What is said about one glaze; a new one when none is given. */
export function GlazeCard({ glaze }: { glaze: Glaze | null }) {
  const router = useRouter();
  const [draft, setDraft, , drop] = usePersistedState<GlazeDraft>(
    `jiten.glaze.${glaze ? `${glaze.id}.${glaze.version}` : 'new'}`,
    glaze ?? blank(),
  );
  const { run, isBusy, errors } = useMutation();
  const of = (field: string) =>
    errors.find((error) => error.field === `glaze.${field}` || error.field === field)?.message;
  const change = (part: Partial<GlazeDraft>) => setDraft((before) => ({ ...before, ...part }));
  const save = async () => {
    const { id, name, kind, colour, surface, movement, opaque, decorative, advice, caution } = draft;
    const saved = await run(() =>
      saveGlazeCard({
        glaze: { id, name, kind, colour, surface, movement, opaque, decorative, advice, caution },
        version: glaze?.version ?? null,
      }),
    );
    if (saved !== null) return;
    drop();
    if (!glaze) router.push(`/glazes/${draft.id}`);
  };
  return (
    <Card
      title={glaze ? glaze.name : 'New glaze'}
      button={glaze ? 'Save' : 'Add this glaze'}
      isBusy={isBusy}
      errors={errors}
      onSave={() => void save()}
    >
      <WordField label="Name" value={draft.name} onChange={(name) => change({ name })} error={of('name')} />
      <div className={css.pair}>
        <Choice
          label="Kind"
          options={GLAZE_KINDS}
          value={draft.kind}
          onChange={(kind) => change({ kind: kind ?? 'glaze' })}
        />
        <ColourField
          label="Fired colour"
          value={draft.colour}
          onChange={(colour) => change({ colour })}
          error={of('colour')}
        />
        <Choice
          label="Surface"
          options={SURFACES}
          value={draft.surface}
          onChange={(surface) => change({ surface })}
          none="not known"
        />
        <Choice
          label="Movement"
          options={MOVEMENTS}
          value={draft.movement}
          onChange={(movement) => change({ movement })}
          none="not known"
        />
      </div>
      <FormControlLabel
        control={
          <Switch checked={draft.opaque} onChange={(event) => change({ opaque: event.target.checked })} />
        }
        label="Opaque"
      />
      <FormControlLabel
        control={
          <Switch
            checked={draft.decorative}
            onChange={(event) => change({ decorative: event.target.checked })}
          />
        }
        label="Decorative ware only"
      />
      <WordField
        label="Advice at the bucket"
        value={draft.advice}
        onChange={(advice) => change({ advice })}
        multiline
        minRows={2}
        error={of('advice')}
      />
      <WordField
        label="Caution"
        value={draft.caution}
        onChange={(caution) => change({ caution })}
        multiline
        error={of('caution')}
      />
    </Card>
  );
}
