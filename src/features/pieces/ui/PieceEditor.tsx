'use client';
import { ConflictNotice, NumberField, PageHeader } from '@/ui/kit';
import { RadioCards } from '@/ui/kit/RadioCards';
import Alert from '@mui/material/Alert';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { ulid } from 'ulid';
import { FORMS, formShape } from '@/core/vocabulary';
import type { FieldError } from '@/auth';
import type { PieceDraft, CorrectedPiece } from '@/records/pieces';
import { Silhouette } from '@/ui/Silhouette';
import { useUndo } from '@/ui/Undo';
import { keepOnDevice, readFromDevice } from '@/ui/deviceStorage';
import { useMemberId } from '@/ui/MemberContext';
import { usePersistedState } from '@/ui/usePersistedState';
import { saveCorrection, saveNewPieces } from '../actions';
import { BandDrawing } from './BandDrawing';
import { CoatList } from './CoatList';
import {
  addCoat,
  drawnCoats,
  emptyDraft,
  movedCoat,
  withCoat,
  withEdge,
  withForm,
  withoutCoat,
  type GlazeChoice,
} from '../model/draft';
import css from './pieces.module.css';
import { ZoneList } from './ZoneList';

export interface BodyChoice {
  readonly id: string;
  readonly name: string;
  readonly colour: string;
}

interface Props {
  readonly bodies: readonly BodyChoice[];
  readonly glazes: readonly GlazeChoice[];
  /** What to start from: another piece's bands, or the piece that is corrected. */
  readonly start: PieceDraft | null;
  readonly editing?: { readonly id: string; readonly label: string; readonly version: number };
  readonly firingNames?: Readonly<Record<string, string>>;
}

/** The bands of the piece that was saved last, to be repeated. */
const LAST = 'jiten.piece.last';

/** Where bands are drawn: form and clay to the left, the piece in the middle, coats and zones to the right. */
export function PieceEditor({ bodies, glazes, start, editing, firingNames = {} }: Props) {
  const key = `jiten.piece.${editing ? `${editing.id}.${editing.version}` : 'new'}`;
  const [draft, setDraft, found, drop] = usePersistedState<PieceDraft>(
    key,
    start ?? emptyDraft('tile', bodies[0]?.id ?? ''),
  );
  const last = { owner: useMemberId(), key: LAST, version: 1 };
  const [twins, setTwins] = useState(1);
  const [selected, setSelected] = useState(0);
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  const [theirs, setTheirs] = useState<CorrectedPiece | null>(null);
  const { offer, bar } = useUndo();
  const [saved, setSaved] = useState<readonly { id: string; label: string }[] | null>(null);
  const [isBusy, setIsBusy] = useState(false);
  const ids = useRef<string[]>([]);

  const byId = useMemo(() => new Map(glazes.map((glaze) => [glaze.id, glaze])), [glazes]);
  const nameOf = (id: string) => byId.get(id)?.name ?? '?';
  const coats = drawnCoats(draft, byId);
  const bodyColour = bodies.find((body) => body.id === draft.bodyId)?.colour ?? '#c8b8a0';
  const errorOf = (field: string) =>
    errors.find((error) => error.field.replace(/^draft\./, '') === field)?.message;
  const change = (next: (before: PieceDraft) => PieceDraft) => {
    setSaved(null);
    setDraft(next);
  };

  const save = async (version = editing?.version ?? 0) => {
    if (isBusy) return;
    setIsBusy(true);
    // A repeated submit after a lost answer must be the same rows, so ids live until one was acknowledged.
    ids.current = Array.from({ length: twins }, (_, i) => ids.current[i] ?? ulid());
    try {
      const outcome = editing
        ? await saveCorrection({ id: editing.id, version, draft })
        : await saveNewPieces({ ids: ids.current, draft });
      setTheirs(outcome.ok ? null : ((outcome.theirs as CorrectedPiece | undefined) ?? null));
      if (!outcome.ok) return setErrors(outcome.errors);
      setErrors([]);
      keepOnDevice(last, draft);
      drop();
      ids.current = [];
      setSaved(editing ? [{ id: editing.id, label: editing.label }] : outcome.value);
    } catch {
      setErrors([
        {
          field: '',
          message:
            'The server did not answer. What you drew is kept on this device; save again when the network is back.',
        },
      ]);
    } finally {
      setIsBusy(false);
    }
  };
  useHotkeys('mod+enter', () => void save(), { enableOnFormTags: true });

  const add = (glaze: GlazeChoice | null) => {
    if (!glaze) return;
    change((before) => addCoat(before, glaze));
    setSelected(draft.coats.length);
  };
  const repeat = () => {
    const bands = readFromDevice<PieceDraft>(last);
    if (bands) change(() => bands);
  };

  return (
    <>
      <PageHeader first={editing ? editing.label : 'New piece'}>
        <h1>{editing ? `Correct ${editing.label}` : 'New piece'}</h1>
        {!editing && (
          <Button size="small" onClick={repeat} title="Start from the bands of the piece you saved last">
            Repeat last
          </Button>
        )}
        {found && !saved && (
          <span className="small quiet">
            Not saved yet; kept on this device.{' '}
            <button
              type="button"
              className={css.link}
              onClick={() => {
                drop();
                setDraft(start ?? emptyDraft('tile', bodies[0]?.id ?? ''));
                drop();
              }}
            >
              Start again
            </button>
          </span>
        )}
      </PageHeader>
      {saved && (
        <Alert severity="success" variant="outlined" sx={{ mb: 2 }}>
          Saved{' '}
          {saved.map(({ label }, i) => (
            <span key={label}>
              {i > 0 && ', '}
              <Link href={`/pieces/${label}`}>{label}</Link>
            </span>
          ))}
          . Write {saved.length === 1 ? 'the number' : 'the numbers'} under the foot.
        </Alert>
      )}
      {theirs && (
        <ConflictNotice
          rows={differing(draft, theirs, bodies)}
          onKeepMine={() => void save(theirs.version)}
        />
      )}
      {errors.length > 0 && !theirs && (
        <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
          {errorOf('') ??
            `Not saved: ${errors.length === 1 ? 'one thing is' : `${errors.length} things are`} missing or wrong. Nothing was lost.`}
        </Alert>
      )}
      <div className={css.editor}>
        <section className={css.what} aria-label="Form and clay">
          <FormPicker
            draft={draft}
            bodyColour={bodyColour}
            onPick={(form) => change((before) => withForm(before, form))}
          />
          <TextField
            select
            label="Clay"
            value={draft.bodyId}
            onChange={(event) => change((before) => ({ ...before, bodyId: event.target.value }))}
            error={Boolean(errorOf('bodyId'))}
            helperText={errorOf('bodyId')}
          >
            {bodies.map((body) => (
              <MenuItem key={body.id} value={body.id}>
                <span className={css.chip} style={{ background: body.colour, marginRight: 8 }} />
                {body.name}
              </MenuItem>
            ))}
          </TextField>
          <div className={css.pair}>
            <NumberField
              label="Height, cm"
              value={draft.heightMm / 10}
              onChange={(cm) => change((b) => ({ ...b, heightMm: (cm ?? NaN) * 10 }))}
              error={errorOf('heightMm')}
            />
            <NumberField
              label="Width, cm"
              value={draft.widthMm / 10}
              onChange={(cm) => change((b) => ({ ...b, widthMm: (cm ?? NaN) * 10 }))}
              error={errorOf('widthMm')}
            />
          </div>
          {formShape(draft.form).canSplit && (
            <FormControlLabel
              control={
                <Switch
                  checked={draft.split}
                  onChange={(event) =>
                    change((b) => ({
                      ...b,
                      split: event.target.checked,
                      coats: b.coats.map((c) => ({ ...c, side: 'outside' as const })),
                    }))
                  }
                />
              }
              label="Left and right halves differ"
            />
          )}
          <TextField
            label="Note"
            multiline
            minRows={2}
            value={draft.note}
            onChange={(event) => change((b) => ({ ...b, note: event.target.value }))}
            error={Boolean(errorOf('note'))}
            helperText={errorOf('note')}
          />
        </section>
        <section className={css.stage} aria-label="Bands">
          <BandDrawing
            draft={draft}
            coats={coats}
            bodyColour={bodyColour}
            selected={selected}
            nameOf={(i) => nameOf(draft.coats[i]?.glazeId ?? '')}
            onSelect={setSelected}
            onEdge={(i, edge, at) => change((b) => withEdge(b, i, edge, at))}
          />
        </section>
        <section className={css.how} aria-label="Coats and zones">
          <h3>Coats, in order of application</h3>
          <CoatList
            draft={draft}
            glazes={glazes}
            selected={selected}
            firingNames={new Map(Object.entries(firingNames))}
            errorOf={errorOf}
            onSelect={setSelected}
            onChange={(i, c) => change((b) => withCoat(b, i, c))}
            onMove={(i, by) => {
              change((b) => movedCoat(b, i, by));
              setSelected(Math.min(draft.coats.length - 1, Math.max(0, i + by)));
            }}
            onRemove={(i) => {
              const before = draft;
              offer(`${nameOf(draft.coats[i]!.glazeId)} removed`, () => setDraft(before));
              change((b) => withoutCoat(b, i));
              setSelected(Math.max(0, i - 1));
            }}
          />
          <Autocomplete
            key={draft.coats.length}
            options={glazes}
            getOptionLabel={(glaze) => glaze.name}
            groupBy={(glaze) => glaze.kind}
            value={null}
            autoHighlight
            onChange={(_, glaze) => add(glaze)}
            renderOption={({ key: optionKey, ...props }, glaze) => (
              <li key={optionKey} {...props}>
                <span className={css.chip} style={{ background: glaze.colour, marginRight: 10 }} />
                {glaze.name}
              </li>
            )}
            renderInput={(params) => (
              <TextField
                {...params}
                label={draft.coats.length ? 'Add a coat over it' : 'Add the first coat'}
                placeholder="Type two letters"
              />
            )}
          />
          <h3>What this piece tests</h3>
          <ZoneList piece={draft} coats={coats} body={draft.bodyId} nameOf={nameOf} />
          <div className={css.saveRow}>
            {!editing && (
              <NumberField
                label="How many"
                value={twins}
                onChange={(n) => {
                  setTwins(Math.max(1, Math.min(60, Math.round(n ?? 1))));
                }}
                sx={{ width: 110 }}
              />
            )}
            <Button
              variant="contained"
              onClick={() => void save()}
              disabled={isBusy}
              title="Save (Ctrl Enter)"
            >
              {isBusy ? 'Saving' : editing ? 'Save correction' : twins > 1 ? `Save ${twins} twins` : 'Save'}
            </Button>
          </div>
        </section>
      </div>
      {bar}
    </>
  );
}

/** What two versions of a piece say differently, in words. */
function differing(mine: PieceDraft, theirs: CorrectedPiece, bodies: readonly BodyChoice[]) {
  const body = (id: string) => bodies.find((one) => one.id === id)?.name ?? '?';
  const rows = [
    { name: 'Form', mine: mine.form, theirs: theirs.form },
    { name: 'Clay', mine: body(mine.bodyId), theirs: body(theirs.bodyId) },
    { name: 'Height, cm', mine: String(mine.heightMm / 10), theirs: String(theirs.heightMm / 10) },
    { name: 'Width, cm', mine: String(mine.widthMm / 10), theirs: String(theirs.widthMm / 10) },
    { name: 'Note', mine: mine.note || 'none', theirs: theirs.note || 'none' },
    { name: 'Coats', mine: String(mine.coats.length), theirs: String(theirs.coats.length) },
  ];
  return rows.filter((row) => row.mine !== row.theirs);
}

function FormPicker({
  draft,
  bodyColour,
  onPick,
}: {
  draft: PieceDraft;
  bodyColour: string;
  onPick: (form: PieceDraft['form']) => void;
}) {
  return (
    <RadioCards
      label="Form"
      options={FORMS}
      value={draft.form}
      onChange={onPick}
      groupClassName={css.forms}
      className={css.form}
      card={(form) => (
        <>
          <Silhouette
            form={form}
            {...formShape(form)}
            bodyColour={bodyColour}
            coats={[]}
            size={34}
            title=""
          />
          {form}
        </>
      )}
    />
  );
}
