'use client';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { ulid } from 'ulid';
import type { Material } from '@/core/chemistry';
import type { StudioMaterial } from '@/records/materials';
import { Card } from '@/ui/Card';
import { NumberField } from '@/ui/NumberField';
import { useMutation } from '@/ui/useMutation';
import { WordField } from '@/ui/WordField';
import { usePersistedState } from '@/ui/usePersistedState';
import { saveMaterialCard } from '../actions';
import { analysisText, readAnalysis } from '../model/analysisText';

interface Props {
  /** What is being changed: built-in or own; null for a new one. */
  readonly material: Material | null;
  readonly own: StudioMaterial | null;
  readonly name: string;
}

/** A material as it is typed: a blank number is null. */
interface Fields {
  readonly id: string;
  readonly name: string;
  readonly analysis: string;
  readonly loi: number | null;
  readonly density: number | null;
  readonly source: string;
}

/** One material of the studio's own; a built-in one is copied under its name and stands before it. */
export function MaterialCard({ material, own, name }: Props) {
  const router = useRouter();
  const [draft, setDraft, , drop] = usePersistedState<Fields>(
    `jiten.material.${own ? `${own.id}.${own.version}` : (material?.name ?? 'new')}`,
    {
      id: own?.id ?? ulid(),
      name: material?.name ?? name,
      analysis: material ? analysisText(material.analysis) : '',
      loi: Number((material?.loi ?? 0).toFixed(2)),
      density: material?.density ?? null,
      source: own?.source ?? '',
    },
  );
  const [tried, setTried] = useState(false);
  const { run, isBusy, errors } = useMutation();
  const read = useMemo(() => readAnalysis(draft.analysis), [draft.analysis]);
  const of = (field: string) =>
    errors.find((error) => error.field === `material.${field}` || error.field === field)?.message;
  const change = (part: Partial<typeof draft>) => setDraft((before) => ({ ...before, ...part }));
  const save = async () => {
    setTried(true);
    if (read.errors.length) return;
    const loi = draft.loi ?? 0;
    const saved = await run(() =>
      saveMaterialCard({
        material: { ...draft, loi, analysis: read.analysis },
        version: own?.version ?? null,
      }),
    );
    if (saved !== null) return;
    drop();
    router.push('/glazes/materials');
  };
  const typing = draft.analysis !== '' && !tried ? read.errors.slice(0, -1) : read.errors;
  // A fault of one oxide stands at its own path below the analysis.
  const refused = errors
    .filter(({ field }) => field.startsWith('material.analysis'))
    .map(({ field, message }) => `${field.split('.')[2] ?? ''} ${message}`.trim());
  const wrong = [...typing, ...refused].join(' ');
  const off = read.total + (draft.loi ?? 0);
  return (
    <Card
      title={material ? material.name : 'New material'}
      button={own ? 'Save' : material ? 'Use my analysis instead' : 'Add this material'}
      isBusy={isBusy}
      errors={errors}
      onSave={() => void save()}
    >
      <WordField label="Name" value={draft.name} onChange={(name) => change({ name })} error={of('name')} />
      <WordField
        label="Analysis, weight % as weighed"
        placeholder={'SiO2 66.5\nAl2O3 18'}
        multiline
        minRows={5}
        value={draft.analysis}
        onChange={(analysis) => change({ analysis })}
        error={wrong}
        hint={`Oxides ${Number(read.total.toFixed(2))} %, with loss on ignition ${Number(off.toFixed(2))} %${
          read.total > 0 && Math.abs(off - 100) > 3 ? ': check it, this should be about 100.' : '.'
        }`}
        slotProps={{ htmlInput: { className: 'figures' } }}
      />
      <NumberField
        label="Loss on ignition, %"
        value={draft.loi}
        onChange={(loi) => change({ loi })}
        error={of('loi')}
      />
      <NumberField
        label="Particle density, g/cm³"
        value={draft.density}
        onChange={(density) => change({ density })}
        error={of('density')}
      />
      <WordField
        label="Where the analysis comes from"
        value={draft.source}
        onChange={(source) => change({ source })}
        error={of('source')}
      />
    </Card>
  );
}
