'use client';
import { FORMS, formShape, type Form, heatShort } from '@/core/vocabulary';
import type { StudioForm } from '@/records/pieces';
import { useAtmospheresInUse, useHeatsInUse } from '@/ui/StudioContext';
import { bodiesVary } from '@/core/rounds';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { Choice, NumberField, QuantityField, SelectField, WordField } from '@/ui/kit';
import css from './rounds.module.css';
import type { RoundMakerState } from './useRoundMaker';

interface Props extends Pick<RoundMakerState, 'setup' | 'change' | 'errorOf' | 'bodyId' | 'piece'> {
  readonly ownForms: readonly StudioForm[];
  readonly bodies: readonly { readonly id: string; readonly name: string }[];
}

/** What is the same in all tests of a round. */
export function Stays({ setup, change, errorOf, bodyId, bodies, piece, ownForms }: Props) {
  const heats = useHeatsInUse(setup.cone);
  const atmospheres = useAtmospheresInUse(setup.atmosphere);
  const { isFlat } = formShape(piece.form);
  return (
    <div className={css.stays}>
      <h2>What stays the same</h2>
      <WordField
        label="Name of the round"
        value={setup.name}
        onChange={(name) => change({ name })}
        error={errorOf('name')}
      />
      {!bodiesVary(setup.kind) && (
        <Choice
          label="Clay"
          options={bodies.map((body) => body.name)}
          value={bodies.find((body) => body.id === bodyId)?.name ?? null}
          onChange={(name) =>
            change({ bodies: bodies.filter((body) => body.name === name).map((body) => body.id) })
          }
        />
      )}
      <div className={css.pair}>
        <Choice
          label="Cone"
          options={heats}
          wordOf={heatShort}
          value={setup.cone}
          onChange={(cone) => change({ cone: cone ?? '6' })}
        />
        <Choice
          label="Atmosphere"
          options={atmospheres}
          value={setup.atmosphere}
          onChange={(atmosphere) => change({ atmosphere: atmosphere ?? 'oxidation' })}
        />
        <SelectField<string>
          label="Form"
          options={[
            ...ownForms.map(({ id, name }) => [id, name] as const),
            ...FORMS.map((form) => [form, form] as const),
          ]}
          value={piece.formId ?? piece.form}
          onChange={(key) => {
            const own = ownForms.find(({ id }) => id === key);
            change({
              ...{ form: own?.form ?? (key as Form), formId: own?.id ?? null },
              ...{ heightMm: null, widthMm: null },
            });
          }}
        />
        <NumberField
          label={isFlat ? 'Tiles of each' : 'Pieces of each'}
          value={setup.twins}
          onChange={(twins) => twins && change({ twins: Math.round(twins) })}
          error={errorOf('twins')}
        />
        <QuantityField
          dimension="length"
          label="Height"
          value={piece.heightMm}
          onChange={(heightMm) => change({ heightMm })}
          error={errorOf('heightMm')}
        />
        <QuantityField
          dimension="length"
          label="Width"
          value={piece.widthMm}
          onChange={(widthMm) => change({ widthMm })}
          error={errorOf('widthMm')}
        />
      </div>
      {piece.form === 'ring strip' && (
        <div className={css.pair}>
          <QuantityField
            dimension="length"
            label="Ring diameter"
            value={setup.ring.diameterMm}
            onChange={(mm) => mm && change({ ring: { ...setup.ring, diameterMm: mm } })}
          />
          <QuantityField
            dimension="length"
            label="Foot flange"
            value={setup.ring.flangeMm}
            onChange={(mm) => change({ ring: { ...setup.ring, flangeMm: mm ?? 0 } })}
          />
        </div>
      )}
      {isFlat && (
        <FormControlLabel
          label="Backs and edges waxed"
          control={
            <Switch checked={setup.isWaxed} onChange={(event) => change({ isWaxed: event.target.checked })} />
          }
        />
      )}
      <p className="small quiet">
        {setup.twins > 1
          ? 'Twins tell an accident from a result.'
          : 'One of each proves little: a single piece that differs may be a slip of the hand.'}
      </p>
      <WordField
        label="Needed by"
        type="date"
        value={setup.dueOn ?? ''}
        onChange={(dueOn) => change({ dueOn: dueOn || null })}
        error={errorOf('dueOn')}
        slotProps={{ inputLabel: { shrink: true } }}
      />
    </div>
  );
}
