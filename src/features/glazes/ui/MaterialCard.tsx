'use client';
import { shortFigures } from '@/core/units';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { ulid } from 'ulid';
import type { Material } from '@/core/chemistry';
import type { StudioMaterial } from '@/records/materials';
import { Card, NumberInput, TextInput, useSavedForm } from '@/ui/kit';
import { saveMaterialCard } from '../actions';
import { analysisText, readAnalysis } from '../model/analysisText';
import { typedMaterialSchema } from '../schema';

interface Props {
  /** What is being changed: built-in or own; null for a new one. */
  readonly material: Material | null;
  readonly own: StudioMaterial | null;
  readonly name: string;
}

/** One material of the studio's own; a built-in one is copied under its name and stands before it. */
export function MaterialCard({ material, own, name }: Props) {
  const router = useRouter();
  const form = useSavedForm({
    schema: typedMaterialSchema,
    values: {
      id: own?.id ?? ulid(),
      name: material?.name ?? name,
      analysis: material ? analysisText(material.analysis) : '',
      loi: Number((material?.loi ?? 0).toFixed(2)),
      density: material?.density ?? null,
      source: own?.source ?? '',
    },
    draft: { key: `jiten.material.${own ? `${own.id}.${own.version}` : (material?.name ?? 'new')}` },
    under: 'material',
    version: own?.version ?? null,
    save: (typed, version) => saveMaterialCard({ material: typed, version }),
    onSaved: () => router.push('/glazes/materials'),
  });
  const { control } = form;
  const [analysis, loi] = useWatch({ control, name: ['analysis', 'loi'] });
  const read = useMemo(() => readAnalysis(analysis), [analysis]);
  // The line that is being typed is not wrong yet.
  const typing = read.errors.slice(0, -1).join(' ');
  const sum = read.total + (loi ?? 0);
  return (
    <Card
      of={form}
      title={material ? material.name : 'New material'}
      button={own ? 'Save' : material ? 'Use my analysis instead' : 'Add this material'}
    >
      <TextInput control={control} name="name" label="Name" />
      <TextInput
        control={control}
        name="analysis"
        label="Analysis, weight % as weighed"
        placeholder={'SiO2 66.5\nAl2O3 18'}
        multiline
        minRows={5}
        error={typing || undefined}
        hint={`Oxides ${shortFigures(read.total, 2)} %, with loss on ignition ${shortFigures(sum, 2)} %${
          read.total > 0 && Math.abs(sum - 100) > 3 ? ': check it, this should be about 100.' : '.'
        }`}
        slotProps={{ htmlInput: { className: 'figures' } }}
      />
      <NumberInput control={control} name="loi" label="Loss on ignition, %" />
      <NumberInput control={control} name="density" label="Particle density, g/cm³" />
      <TextInput control={control} name="source" label="Where the analysis comes from" />
    </Card>
  );
}
