'use client';
import Star from '@mui/icons-material/Star';
import StarBorder from '@mui/icons-material/StarBorder';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { AFTER_WORK } from '@/core/vocabulary';
import type { PiecePage, Ware } from '@/records/pieces';
import { FormErrors, SeveralField, TickField, WordField } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { sayWare } from '../actions';
import { wareFacts } from '../model/wareFacts';
import css from './piece.module.css';

interface Props {
  readonly piece: Pick<PiecePage, 'id' | 'ware' | 'isLiked' | 'coats' | 'label'>;
  readonly mayChange: boolean;
}

/** What a piece is as ware: liked, for whom, sold, what was done to it after the firing. */
export function WarePanel({ piece, mayChange }: Props) {
  const [isOpen, setIsOpen] = useState(false);
  const { run, isBusy, errors } = useMutation();
  const facts = wareFacts(piece);
  return (
    <section className={css.ware} aria-label="Owner and price">
      <div className={css.wareHead}>
        {mayChange && (
          <Button
            size="small"
            startIcon={piece.isLiked ? <Star /> : <StarBorder />}
            aria-pressed={piece.isLiked}
            disabled={isBusy}
            onClick={() => void run(() => sayWare({ pieceId: piece.id, said: {}, isLiked: !piece.isLiked }))}
          >
            Favourite
          </Button>
        )}
        {!mayChange && piece.isLiked && <Star titleAccess="Favourite" fontSize="small" />}
        <span className={css.facts}>
          {facts.map((fact) => (
            <span key={fact}>{fact}</span>
          ))}
        </span>
        {mayChange && (
          <Button size="small" onClick={() => setIsOpen(!isOpen)} aria-expanded={isOpen}>
            {isOpen ? 'Close' : 'Owner, price, after firing'}
          </Button>
        )}
      </div>
      <FormErrors errors={errors} />
      {isOpen && <WareForm piece={piece} onSaved={() => setIsOpen(false)} />}
    </section>
  );
}

function WareForm({ piece, onSaved }: Pick<Props, 'piece'> & { readonly onSaved: () => void }) {
  // Only what is changed here is kept and said: what somebody else says of other things meanwhile stays.
  const [said, setSaid, , drop] = usePersistedState<Partial<Ware>>(`jiten.ware.${piece.id}`, {});
  const ware = { ...piece.ware, ...said };
  const { run, isBusy, errors } = useMutation();
  const put = (part: Partial<Ware>) => setSaid((before) => ({ ...before, ...part }));
  const errorOf = (field: string) => errors.find((one) => one.field === `said.${field}`)?.message;
  const save = async () => {
    if ((await run(() => sayWare({ pieceId: piece.id, said }))) === undefined) return;
    drop();
    onSaved();
  };
  return (
    <div className={css.wareForm}>
      <WordField
        label="Owner, or who it is for"
        value={ware.owner}
        onChange={(owner) => put({ owner })}
        error={errorOf('owner')}
      />
      <WordField
        label="Promised by"
        type="date"
        value={ware.promisedBy ?? ''}
        onChange={(day) => put({ promisedBy: day || null })}
        error={errorOf('promisedBy')}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <WordField
        label="Price"
        value={ware.price}
        onChange={(price) => put({ price })}
        error={errorOf('price')}
      />
      <SeveralField
        label="After the firing"
        options={AFTER_WORK}
        value={ware.after}
        onChange={(after) => put({ after })}
      />
      <TickField label="Sold" checked={ware.isSold} onChange={(isSold) => put({ isSold })} />
      <TickField
        label="For display only"
        checked={ware.isForDisplay}
        onChange={(isForDisplay) => put({ isForDisplay })}
      />
      {ware.after.some((work) => work === 'ground' || work === 'polished') && (
        <p className="small quiet">Grind and polish wet, with eye protection and a respirator.</p>
      )}
      <FormErrors errors={errors.filter(({ field }) => field === '')} />
      <Button variant="contained" disabled={isBusy} onClick={() => void save()}>
        Save
      </Button>
    </div>
  );
}
