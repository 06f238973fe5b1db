'use client';
import { reachMm } from '@/core/vocabulary';
import type { CoatDraft, PieceDraft } from '@/records/pieces';
import { NumberField, QuantityField, SelectField, WordField } from '@/ui/kit';
import { COVERS, FIRST_COVER } from '../model/cover';

interface Props {
  readonly coat: CoatDraft;
  readonly draft: PieceDraft;
  readonly errorOf: (field: string) => string | undefined;
  readonly onChange: (change: Partial<CoatDraft>) => void;
}

/** How far a coat covers its band. What covers it in part is a test of its own. */
export function CoverFields({ coat: { cover }, draft, errorOf, onChange }: Props) {
  return (
    <>
      <SelectField<keyof typeof COVERS>
        label="Covers"
        value={cover?.kind ?? 'whole'}
        onChange={(kind) => onChange({ cover: kind === 'whole' ? null : FIRST_COVER[kind] })}
        options={Object.entries(COVERS) as [keyof typeof COVERS, string][]}
      />
      {cover?.kind === 'pattern' && (
        <>
          <WordField
            label="Pattern"
            value={cover.name}
            onChange={(name) => onChange({ cover: { ...cover, name } })}
            error={errorOf('name')}
          />
          <NumberField
            label="About %"
            value={cover.percent}
            onChange={(percent) => onChange({ cover: { ...cover, percent: percent ?? Number.NaN } })}
            error={errorOf('percent')}
          />
        </>
      )}
      {cover?.kind === 'fade' && (
        <SelectField<'rim' | 'foot'>
          label="Towards"
          value={cover.towards}
          onChange={(towards) => onChange({ cover: { ...cover, towards } })}
          options={[
            ['rim', 'the rim'],
            ['foot', 'the foot'],
          ]}
        />
      )}
      {cover?.kind === 'slope' && (
        <QuantityField
          dimension="length"
          label="Rises by"
          value={Number((cover.rise * reachMm(draft)).toFixed(3))}
          error={errorOf('rise')}
          onChange={(mm) => onChange({ cover: { ...cover, rise: (mm ?? Number.NaN) / reachMm(draft) } })}
        />
      )}
    </>
  );
}
