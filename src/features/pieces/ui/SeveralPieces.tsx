'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { ListedPiece, PieceChange } from '@/records/pieces';
import { Acts, FormErrors, SelectField, WordField } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { useUndo } from '@/ui/Undo';
import { saveMany } from '../actions';
import { labelAddress } from '../model/labelAddress';
import type { Maker } from '../model/makers';
import { makerChanges, noteChanges, orderChanges, reversed } from '../model/several';
import css from './pieces.module.css';

interface Props {
  /** Those that are chosen, in the order in which they were. */
  readonly pieces: readonly ListedPiece[];
  /** Who may have made them; empty for who may not say so. */
  readonly makers: readonly Maker[];
  readonly orders: readonly { readonly id: string; readonly name: string }[];
  /** Whether the member may write on all of them. */
  readonly mayChange: boolean;
  readonly onClear: () => void;
}

/** Stands for no order among orders. */
const NONE = 'none';

/** What can be done with several pieces at a time; each act can be taken back as a whole. */
export function SeveralPieces({ pieces, makers, orders, mayChange, onClear }: Props) {
  const [note, setNote] = useState<string | null>(null);
  const [left, setLeft] = useState<readonly string[]>([]);
  const { run, isBusy, errors } = useMutation();
  const { offer, bar } = useUndo();
  const count = pieces.length;
  const change = async (changes: readonly PieceChange[], words: string) => {
    const others = await run(() => saveMany({ changes: [...changes] }));
    if (!others) return false;
    setLeft(others);
    const done = changes.filter(
      ({ id }) => !pieces.some((piece) => piece.id === id && others.includes(piece.label)),
    );
    offer(words, () => void run(() => saveMany({ changes: reversed(done) })));
    return true;
  };
  const write = async () => {
    if (!note?.trim()) return;
    if (await change(noteChanges(pieces, note), `Noted on ${count}`)) setNote(null);
  };
  return (
    <>
      {count > 0 && (
        <section className={css.several} aria-label="Chosen pieces">
          <b>
            <span className="figures">{count}</span> chosen
          </b>
          <Button component="a" href={labelAddress(pieces)} target="_blank">
            Print {count === 1 ? 'label' : 'labels'}
          </Button>
          {mayChange && note === null && <Button onClick={() => setNote('')}>Note</Button>}
          {makers.length > 0 && (
            <SelectField
              label="Made by"
              value=""
              isDisabled={isBusy}
              className={css.filter}
              onChange={(id) => {
                const name = makers.find((maker) => maker.id === id)!.name;
                void change(makerChanges(pieces, id), `${count} made by ${name}`);
              }}
              options={makers.map(({ id, name }) => [id, name] as const)}
            />
          )}
          {mayChange && orders.length > 0 && (
            <SelectField
              label="For the order"
              value=""
              isDisabled={isBusy}
              className={css.filter}
              onChange={(id) => {
                const name = orders.find((order) => order.id === id)?.name ?? 'no order';
                void change(orderChanges(pieces, id === NONE ? null : id), `${count} for ${name}`);
              }}
              options={[...orders.map(({ id, name }) => [id, name] as const), [NONE, 'no order']]}
            />
          )}
          <Button variant="text" onClick={onClear}>
            Choose none
          </Button>
          {note !== null && (
            <div className={css.severalNote}>
              <WordField
                label={count === 1 ? 'Note' : `Note on all ${count}`}
                value={note}
                onChange={setNote}
                autoFocus
                onKeyDown={(event) => event.key === 'Enter' && void write()}
              />
              <Acts>
                <Button variant="contained" disabled={isBusy || !note.trim()} onClick={() => void write()}>
                  Write note
                </Button>
                <Button variant="text" onClick={() => setNote(null)}>
                  Cancel
                </Button>
              </Acts>
            </div>
          )}
          {left.length > 0 && (
            <p className="heat">Changed by somebody else meanwhile, and left: {left.join(', ')}</p>
          )}
          <FormErrors errors={errors} />
        </section>
      )}
      {bar}
    </>
  );
}
