'use client';
import { useState } from 'react';
import { counted } from '@/core/units';
import { sideWord, TEXTURES, type Side, type Texture } from '@/core/vocabulary';
import type { ListedPiece } from '@/records/pieces';
import { SelectField, SeveralField } from '@/ui/kit';
import { commonSides, textureCorrections } from '../../model/several';
import css from '../pieces.module.css';
import { DoOrCancel } from './DoOrCancel';
import type { Several } from './useSeveral';

interface Props {
  readonly pieces: readonly ListedPiece[];
  readonly several: Several;
  readonly onClose: () => void;
}

/** Stands for all sides among sides. */
const ALL = 'all sides';

/** What was done to the clay of every chosen piece, beside what is noted already. */
export function TextureForAll({ pieces, several, onClose }: Props) {
  const [textures, setTextures] = useState<readonly Texture[]>([]);
  const [where, setWhere] = useState<Side | typeof ALL | ''>('');
  const sides = commonSides(pieces);
  const side = sides.length === 1 ? sides[0]! : where;
  const put = async () => {
    if (side === '') return;
    const done = textureCorrections(pieces, textures, side === ALL ? null : side);
    if (await several.correct(done, `${textures.join(' and ')}: ${counted(done.length, 'piece')}`)) onClose();
  };
  return (
    <div className={css.severalForm} role="group" aria-label="A texture on all">
      <SeveralField label="Texture" options={TEXTURES} value={textures} onChange={setTextures} />
      {sides.length > 1 && (
        <SelectField<Side | typeof ALL | ''>
          label="Where"
          value={where}
          onChange={setWhere}
          options={[[ALL, ALL], ...sides.map((one) => [one, sideWord(pieces[0]!.form, one)] as const)]}
        />
      )}
      <DoOrCancel
        words={`Note on ${counted(pieces.length, 'piece')}`}
        isDisabled={several.isBusy || textures.length === 0 || side === ''}
        onDo={() => void put()}
        onCancel={onClose}
      />
    </div>
  );
}
