'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ulid } from 'ulid';
import { counted } from '@/core/units';
import { AGAIN_FATES, type Fate } from '@/core/vocabulary';
import type { ListedPiece } from '@/records/pieces';
import { FormErrors, SelectField, WordField } from '@/ui/kit';
import { WhyAgain } from '@/ui/WhyAgain';
import { labelAddress } from '../../model/labelAddress';
import type { Maker } from '../../model/makers';
import {
  forChanges,
  isPlainlyLogged,
  makerChanges,
  noteChanges,
  planFor,
  setChanges,
} from '../../model/several';
import type { CoatGlaze } from '../../model/sheet/readRow';
import css from '../pieces.module.css';
import { CoatForAll } from './CoatForAll';
import { DoOrCancel } from './DoOrCancel';
import { TextureForAll } from './TextureForAll';
import { useSeveral, type Several } from './useSeveral';

interface Props {
  /** Those that are chosen, in the order in which they were. */
  readonly pieces: readonly ListedPiece[];
  /** Who may have made them; empty for who may not say so. */
  readonly makers: readonly Maker[];
  readonly orders: readonly { readonly id: string; readonly name: string }[];
  /** Groups that they may be for; empty for who may not say so. */
  readonly groups: readonly { readonly id: string; readonly name: string }[];
  readonly glazes: readonly CoatGlaze[];
  /** Whether the member may write on all of them. */
  readonly mayChange: boolean;
  readonly onClear: () => void;
  /** Hands on the pieces as they are after an act. */
  readonly onFresh: (pieces: readonly ListedPiece[]) => void;
}

/** Stands for no order among orders, and for no group among groups. */
const NONE = 'none';

const AGAIN_WORDS: Readonly<Partial<Record<Fate, string>>> = { refire: 'Refire', reglaze: 'Reglaze' };

/** What is asked before an act. */
type Asked = 'note' | 'coat' | 'texture' | Fate | null;

/** What can be done with several pieces at a time; each act can be taken back as a whole. */
export function SeveralPieces({
  pieces,
  makers,
  orders,
  groups,
  glazes,
  mayChange,
  onClear,
  onFresh,
}: Props) {
  const [asked, setAsked] = useState<Asked>(null);
  const several = useSeveral(pieces, onFresh);
  const { left, isBusy, errors, bar, change } = several;
  const count = pieces.length;
  const logged = pieces.filter(isPlainlyLogged);
  const read = pieces.filter(({ stage }) => stage === 'read');
  const again = AGAIN_FATES.find((fate) => fate === asked);
  const close = () => setAsked(null);
  const askFor = (what: Asked, words: string) => (
    <Button onClick={() => setAsked(asked === what ? null : what)} aria-expanded={asked === what}>
      {words}
    </Button>
  );
  return (
    <>
      {count > 0 && (
        <section className={css.several} aria-label="Chosen pieces">
          <b>
            <span className="figures">{count}</span> chosen
          </b>
          <div className={css.severalActs}>
            <Button component="a" href={labelAddress(pieces)} target="_blank">
              Print {count === 1 ? 'label' : 'labels'}
            </Button>
            {mayChange && (
              <>
                {askFor('note', 'Note')}
                {logged.length > 0 && askFor('coat', 'Coat')}
                {logged.length > 0 && askFor('texture', 'Texture')}
                {read.length > 0 &&
                  AGAIN_FATES.map((fate) => <span key={fate}>{askFor(fate, AGAIN_WORDS[fate]!)}</span>)}
                {count > 1 && pieces.some(({ setId }) => setId === null || setId !== pieces[0]!.setId) && (
                  <Button
                    disabled={isBusy}
                    onClick={() =>
                      void change(setChanges(pieces, ulid()), `${counted(count, 'piece')}: one set`)
                    }
                  >
                    One set
                  </Button>
                )}
              </>
            )}
            <Belonging {...{ pieces, makers, orders, groups, mayChange, several }} />
            <Button variant="text" onClick={onClear}>
              Choose none
            </Button>
          </div>
          {asked === 'note' && <NoteForAll {...{ pieces, several }} onClose={close} />}
          {asked === 'coat' && <CoatForAll {...{ glazes, several }} pieces={logged} onClose={close} />}
          {asked === 'texture' && <TextureForAll {...{ several }} pieces={logged} onClose={close} />}
          {(asked === 'coat' || asked === 'texture') && logged.length < count && (
            <p className="small">
              Left as they are, because they are not logged yet or their lengths are to be checked:{' '}
              {pieces.flatMap((piece) => (isPlainlyLogged(piece) ? [] : piece.label)).join(', ')}.
            </p>
          )}
          {again && (
            <WhyAgain
              className={css.severalForm}
              fate={again}
              onCancel={close}
              onReason={(reason) => {
                const plan = planFor(pieces, again, reason);
                void several
                  .decide(plan, `${counted(plan.pieces.length, 'piece')}: ${again}`)
                  .then((isDone) => isDone && close());
              }}
            />
          )}
          {again && read.length < count && (
            <p className="small">
              Only {counted(read.length, 'piece')} of them {read.length === 1 ? 'was' : 'were'} read at an
              opening; the others are left.
            </p>
          )}
          {left.length > 0 && <p className="heat">Changed meanwhile, and left: {left.join(', ')}</p>}
          <FormErrors errors={errors} />
        </section>
      )}
      {bar}
    </>
  );
}

/** Who made them, and for which order and group they are. */
function Belonging({
  pieces,
  makers,
  orders,
  groups,
  mayChange,
  several: { change, isBusy },
}: Pick<Props, 'pieces' | 'makers' | 'orders' | 'groups' | 'mayChange'> & { readonly several: Several }) {
  const count = pieces.length;
  const rows = [
    {
      label: 'Made by',
      options: makers,
      changes: (id: string | null) => makerChanges(pieces, id!),
      says: (name: string) => `${count} made by ${name}`,
      none: null,
    },
    {
      label: 'For the order',
      options: mayChange ? orders : [],
      changes: (id: string | null) => forChanges(pieces, 'order', id),
      says: (name: string) => `${count} for ${name}`,
      none: 'no order',
    },
    {
      label: 'For the group',
      options: groups,
      changes: (id: string | null) => forChanges(pieces, 'group', id),
      says: (name: string) => `${count} for ${name}`,
      none: 'no group',
    },
  ];
  return rows
    .filter(({ options }) => options.length > 0)
    .map(({ label, options, changes, says, none }) => (
      <SelectField
        key={label}
        label={label}
        value=""
        isDisabled={isBusy}
        className={css.filter}
        onChange={(id) => {
          const name = options.find((one) => one.id === id)?.name ?? none!;
          void change(changes(id === NONE ? null : id), says(name));
        }}
        options={[
          ...options.map(({ id, name }) => [id, name] as const),
          ...(none === null ? [] : [[NONE, none] as const]),
        ]}
      />
    ));
}

/** A line put under the notes of all. */
function NoteForAll({
  pieces,
  several: { change, isBusy },
  onClose,
}: Pick<Props, 'pieces'> & { readonly several: Several; readonly onClose: () => void }) {
  const [note, setNote] = useState('');
  const count = pieces.length;
  const write = async () => {
    if (note.trim() && (await change(noteChanges(pieces, note), `Noted on ${count}`))) onClose();
  };
  return (
    <div className={css.severalNote}>
      <WordField
        label={count === 1 ? 'Note' : `Note on all ${count}`}
        value={note}
        onChange={setNote}
        autoFocus
        onKeyDown={(event) => event.key === 'Enter' && void write()}
      />
      <DoOrCancel
        words="Write note"
        isDisabled={isBusy || !note.trim()}
        onDo={() => void write()}
        onCancel={onClose}
      />
    </div>
  );
}
