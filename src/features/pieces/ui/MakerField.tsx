'use client';
import type { PiecePage } from '@/records/pieces';
import { FormErrors, SelectField } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { giveToMaker } from '../actions';
import type { Maker } from '../model/makers';
import css from './piece.module.css';

/** Who made a piece, to be put right: it is theirs from then on. */
export function MakerField({
  piece,
  makers,
}: {
  piece: Pick<PiecePage, 'id' | 'memberId' | 'maker'>;
  makers: readonly Maker[];
}) {
  const { run, isBusy, errors } = useMutation();
  const isListed = makers.some(({ id }) => id === piece.memberId);
  const all = isListed ? makers : [{ id: piece.memberId, name: piece.maker }, ...makers];
  return (
    <div className={css.tools}>
      <SelectField
        label="Made by"
        value={piece.memberId}
        isDisabled={isBusy}
        onChange={(makerId) => void run(() => giveToMaker({ pieceId: piece.id, makerId }))}
        options={all.map(({ id, name }) => [id, name] as const)}
      />
      <FormErrors errors={errors} />
    </div>
  );
}
