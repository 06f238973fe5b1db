'use client';
import { useState } from 'react';
import { counted } from '@/core/units';
import { METHODS, type Method } from '@/core/vocabulary';
import type { ListedPiece } from '@/records/pieces';
import { Choice, NumberField, SelectField } from '@/ui/kit';
import { usualMethodOf } from '../../model/draft';
import { coatCorrections, commonPlaces } from '../../model/several';
import type { CoatGlaze } from '../../model/sheet/readRow';
import css from '../pieces.module.css';
import { DoOrCancel } from './DoOrCancel';
import type { Several } from './useSeveral';

interface Props {
  readonly pieces: readonly ListedPiece[];
  readonly glazes: readonly CoatGlaze[];
  readonly several: Several;
  readonly onClose: () => void;
}

/** One more coat on top of every chosen piece, in a place that all have. */
export function CoatForAll({ pieces, glazes, several, onClose }: Props) {
  const [glaze, setGlaze] = useState<CoatGlaze | null>(null);
  const [method, setMethod] = useState<Method>('dip');
  const [place, setPlace] = useState('');
  const [times, setTimes] = useState<number | null>(1);
  const places = commonPlaces(pieces);
  const isFired = pieces.some(({ stage }) => stage === 'fired' || stage === 'read');
  const inKiln = pieces.filter(({ stage }) => stage === 'loaded').length;
  const isWhole = glaze !== null && places.includes(place) && times !== null;
  const put = async () => {
    if (!isWhole) return;
    const coat = { glazeId: glaze.id, method, place, times };
    const done = coatCorrections(pieces, coat, glazes);
    if (await several.correct(done, `${glaze.name} on ${counted(done.length, 'piece')}`)) onClose();
  };
  if (places.length === 0)
    return (
      <p className={css.severalForm}>These pieces have no place in common. Choose pieces of one form.</p>
    );
  return (
    <div className={css.severalForm} role="group" aria-label="A coat on all">
      <Choice
        label="Glaze"
        options={glazes.map(({ name }) => name)}
        value={glaze?.name ?? null}
        onChange={(name) => {
          const next = glazes.find((one) => one.name === name) ?? null;
          setGlaze(next);
          if (next) setMethod(usualMethodOf(next));
        }}
      />
      <SelectField<Method>
        label="How"
        options={METHODS.map((one) => [one, one] as const)}
        value={method}
        onChange={setMethod}
      />
      <Choice label="Where" options={places} value={place || null} onChange={(one) => setPlace(one ?? '')} />
      <NumberField
        label="Times"
        value={times}
        onChange={setTimes}
        error={times !== null && (times < 1 || times > 30) ? 'From 1 to 30.' : undefined}
      />
      <DoOrCancel
        words={`Put on ${counted(pieces.length, 'piece')}`}
        isDisabled={several.isBusy || !isWhole || times < 1 || times > 30}
        onDo={() => void put()}
        onCancel={onClose}
      />
      {isFired && (
        <p className="small">
          On those that were fired it is put on now, for the next firing. Warm the ware or use a glaze that
          grips, and let it dry slowly.
        </p>
      )}
      {inKiln > 0 && (
        <p className="small">
          {counted(inKiln, 'piece')} in a kiln: noted as put on before the kiln was loaded.
        </p>
      )}
    </div>
  );
}
