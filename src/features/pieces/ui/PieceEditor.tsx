'use client';
import type { KilnRoom } from '@/core/firing';
import type { Form } from '@/core/vocabulary';
import { useUnits } from '@/ui/units';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useSaveKey } from '@/ui/useSaveKey';
import { NextTime } from '@/features/reminders';
import type { PieceDraft } from '@/records/pieces';
import type { Reminder } from '@/records/reminders';
import { remindersFor } from '../model/remindersFor';
import { Acts, ConflictNotice, PageHeader, SelectField } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { useUndo } from '@/ui/Undo';
import type { Maker } from '../model/makers';
import { labelAddress } from '../model/labelAddress';
import { withOutline } from '../model/areas';
import { differing } from '../model/differing';
import {
  drawable,
  withEdge,
  withoutCoat,
  type BodyChoice,
  type FormChoice,
  type GlazeChoice,
} from '../model/draft';
import { BandDrawing, type EditorPhoto } from './BandDrawing';
import { PieceCoats } from './PieceCoats';
import { PieceFacts } from './PieceFacts';
import { useEffect, useRef } from 'react';
import css from './pieces.module.css';
import { usePieceEditor, type PieceEditorState } from './usePieceEditor';

interface Props {
  readonly bodies: readonly BodyChoice[];
  readonly glazes: readonly GlazeChoice[];
  /** What to start from: the usual form and clay, another piece's bands, or the piece that is corrected. */
  readonly start: PieceDraft;
  readonly editing?: { readonly id: string; readonly label: string; readonly version: number };
  /** For whom pieces may be written down, beside the member; empty for none. */
  readonly makers?: readonly Maker[];
  /** The letters that a new piece's number may have, and those of the member's last piece; empty where there is one series. */
  readonly series?: readonly string[];
  readonly lastSeries?: string | null;
  readonly firingNames?: Readonly<Record<string, string>>;
  /** The studio's own forms, and those of the library by how often they are made. */
  readonly ownForms: readonly FormChoice[];
  readonly formsInUse: readonly Form[];
  /** The room of the studio's kilns; empty where nobody asks whether it fits. */
  readonly rooms?: readonly KilnRoom[];
  /** Notes for the next time, of which those are shown that are about what is chosen. */
  readonly reminders?: readonly Reminder[];
  /** The piece that a new one belongs together with. */
  readonly setWith?: string | undefined;
  /** Photos of the piece that is corrected, the newest first. */
  readonly photos?: readonly EditorPhoto[];
}

/** Where bands are drawn: form and clay to the left, the piece in the middle, coats and zones to the right. */
export function PieceEditor({
  bodies,
  glazes,
  start,
  editing,
  makers = [],
  series = [],
  lastSeries = null,
  firingNames = {},
  ownForms,
  formsInUse,
  rooms = [],
  reminders = [],
  setWith,
  photos = [],
}: Props) {
  const state = usePieceEditor({ glazes, start, series: lastSeries, editing, setWith });
  const { draft, setDraft, change, coats, nameOf, theirs, save, selected, setSelected } = state;
  const { offer, bar } = useUndo();
  const units = useUnits();
  useSaveKey(() => void save());
  const bodyColour = bodies.find((body) => body.id === draft.bodyId)?.colour ?? '#c8b8a0';
  const bodyOf = (id: string) => bodies.find((body) => body.id === id)?.name ?? '?';
  const formOf = (id: string) => ownForms.find((form) => form.id === id)?.name ?? '?';
  const remove = (i: number) => {
    const before = draft;
    offer(`${nameOf(draft.coats[i]!.glazeId)} removed`, () => setDraft(before));
    change((b) => withoutCoat(b, i));
    setSelected(Math.max(0, i - 1));
  };
  return (
    <>
      <PageHeader first={editing ? editing.label : 'New piece'}>
        <h1>{editing ? `Correct ${editing.label}` : 'New piece'}</h1>
        {!editing && (
          <Button
            size="small"
            onClick={state.repeat}
            title="Start from the bands of the piece you saved last"
          >
            Repeat last
          </Button>
        )}
        {!editing && makers.length > 0 && (
          <SelectField
            label="Maker"
            value={state.makerId ?? ''}
            onChange={(id) => state.setMakerId(id || null)}
            className={css.maker}
            options={[['', 'I made it'], ...makers.map(({ id, name }) => [id, name] as const)]}
          />
        )}
        {!editing && series.length > 1 && (
          <SelectField
            label="Number"
            value={state.series ?? series[0]!}
            onChange={state.setSeries}
            className={css.maker}
            error={state.errorOf('series')}
            options={series.map((prefix) => [prefix, prefix] as const)}
          />
        )}
        {setWith && <span className="small">Set with {setWith}</span>}
        {state.isRestored && (
          <span className="small quiet">
            Not saved yet; kept on this device.{' '}
            <button type="button" className={css.link} onClick={state.startAgain}>
              Start again
            </button>
          </span>
        )}
      </PageHeader>
      <SaveResult {...state} />
      {theirs && (
        <ConflictNotice
          rows={differing(draft, theirs, { bodyOf, glazeOf: nameOf, formOf }, units)}
          onKeepMine={() => void save(theirs.version)}
        />
      )}
      <div className={css.editor}>
        <PieceFacts {...state} {...{ bodies, bodyColour, ownForms, formsInUse, rooms }} />
        <section className={css.stage} aria-label="Bands">
          <BandDrawing
            draft={drawable(draft)}
            coats={coats}
            bodyColour={bodyColour}
            selected={selected}
            nameOf={(i) => nameOf(draft.coats[i]?.glazeId ?? '')}
            onSelect={setSelected}
            onEdge={(i, edge, at) => change((b) => withEdge(b, i, edge, at))}
            outlining={state.outlining}
            photos={photos}
            onOutline={(outline) => {
              const name = state.outlining;
              if (outline && name !== null) change((b) => withOutline(b, name, outline));
              state.setOutlining(null);
            }}
          />
        </section>
        <PieceCoats
          of={state}
          bodyOf={bodyOf}
          bands={ownForms.find(({ id }) => id === draft.formId)?.bands ?? []}
          glazes={glazes}
          firingNames={firingNames}
          isCorrection={editing !== undefined}
          onRemove={remove}
          nextTime={<NextTime reminders={remindersFor(reminders, [draft])} isNamed mayWrite />}
        />
      </div>
      {bar}
    </>
  );
}

/** What became of a save: the numbers, or how much is wrong. */
function SaveResult({
  saved,
  errors,
  errorOf,
  theirs,
  next,
}: Pick<PieceEditorState, 'saved' | 'errors' | 'errorOf' | 'theirs' | 'next'>) {
  const box = useRef<HTMLDivElement>(null);
  // Saved from the foot of a long page, it would be said above the screen.
  useEffect(() => {
    if (saved ?? errors.length) box.current?.scrollIntoView({ block: 'nearest' });
  }, [saved, errors]);
  return (
    <div ref={box} className={css.result}>
      {saved && (
        <section className={css.saved} role="status" aria-label="Saved">
          <p>Saved. Write {saved.length === 1 ? 'this number' : 'these numbers'} under the foot:</p>
          <p className={css.numbers}>
            {saved.map(({ label }) => (
              <Link key={label} href={`/pieces/${label}`}>
                {label}
              </Link>
            ))}
          </p>
          <Acts>
            <Button variant="contained" onClick={() => next(false)}>
              Next piece
            </Button>
            <Button onClick={() => next(true)}>The same again</Button>
            <Button component="a" href={labelAddress(saved)} target="_blank">
              Print {saved.length === 1 ? 'label' : 'labels'}
            </Button>
            <LinkButton href={`/pieces/new?with=${saved[0]!.label}`}>Another piece of the set</LinkButton>
          </Acts>
        </section>
      )}
      {errors.length > 0 && !theirs && (
        <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
          {errorOf('') ??
            `Not saved: ${errors.length === 1 ? 'one thing is' : `${errors.length} things are`} missing or wrong. Nothing was lost.`}
        </Alert>
      )}
    </div>
  );
}
