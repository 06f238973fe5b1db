'use client';
import { useWatch, type Control, type FieldPathByValue, type FieldValues } from 'react-hook-form';
import { CONELESS, heatShort, isCone, type Heat } from '@/core/vocabulary';
import { ChoiceInput, QuantityInput } from '@/ui/kit';
import { useHeatsInUse } from '@/ui/StudioContext';

interface Props<V extends FieldValues> {
  readonly control: Control<V, unknown, never>;
  readonly cone: FieldPathByValue<V, Heat | null>;
  readonly toCelsius: FieldPathByValue<V, number | null>;
  readonly label: string;
  /** What stands there to begin with: it is offered also where the studio uses it no more. */
  readonly chosen: Heat | null;
}

/** What a firing goes to: a cone, or a way of firing without one, and then the temperature or the eye. */
export function HeatInputs<V extends FieldValues>({ control, cone, toCelsius, label, chosen }: Props<V>) {
  const heat: Heat | null = useWatch({ control, name: cone });
  const heats = useHeatsInUse(chosen);
  return (
    <>
      <ChoiceInput
        control={control}
        name={cone}
        label={label}
        options={[...heats.filter(isCone).toReversed(), ...CONELESS]}
        wordOf={heatShort}
      />
      {heat && !isCone(heat) && (
        <QuantityInput
          control={control}
          name={toCelsius}
          label="Up to (blank: by eye)"
          dimension="temperature"
        />
      )}
    </>
  );
}
