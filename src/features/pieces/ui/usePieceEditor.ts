'use client';
import { useRouter } from 'next/navigation';
import { useMemo, useRef, useState } from 'react';
import { ulid } from 'ulid';
import type { FieldError } from '@/auth';
import { PLAIN_AREA, PLAIN_COAT, PLAIN_PIECE } from '@/core/coats';
import type { CorrectedPiece, PieceDraft } from '@/records/pieces';
import { keepOnDevice, readFromDevice } from '@/ui/deviceStorage';
import { useMemberId } from '@/ui/MemberContext';
import { usePersistedState } from '@/ui/usePersistedState';
import { saveCorrection, saveNewPieces } from '../actions';
import { addCoat, drawable, drawnCoats, type GlazeChoice } from '../model/draft';
import { coatWarnings } from '../model/warnings';

/** A draft that the release before kept, which knew less, is a draft still. */
const whole = (kept: PieceDraft): PieceDraft => ({
  ...PLAIN_PIECE,
  ...kept,
  areas: (kept.areas ?? []).map((area) => ({ ...PLAIN_AREA, ...area })),
  coats: kept.coats.map((coat) => ({ ...PLAIN_COAT, ...coat })),
});

/** What the next piece has of the one before: its form and size, and its clay. */
const likeLast = ({ form, formId, profile, heightMm, widthMm, split, bodyId }: PieceDraft) => ({
  ...{ form, formId, profile, heightMm, widthMm, split, bodyId },
  ...{ coats: [], areas: [], texture: {}, wanted: [], ownNumber: '', note: '' },
});

/** The bands of the piece that was saved last, to be repeated. */
const LAST = 'jiten.piece.last';

interface Options {
  readonly glazes: readonly GlazeChoice[];
  readonly start: PieceDraft;
  /** The letters of the series that is offered first. */
  readonly series: string | null;
  /** The number of the piece that new ones belong together with. */
  readonly setWith: string | undefined;
  readonly editing: { readonly id: string; readonly label: string; readonly version: number } | undefined;
}

/** A piece as it is drawn, kept on this device until it is saved, and its saving. */
export function usePieceEditor({ glazes, start, series: usual, editing, setWith }: Options) {
  const key = `jiten.piece.${editing ? `${editing.id}.${editing.version}` : 'new'}`;
  const [kept, setDraft, found, drop] = usePersistedState<PieceDraft>(key, start);
  const draft = whole(kept);
  const router = useRouter();
  const last = { owner: useMemberId(), key: LAST, version: 1 };
  const [makerId, setMakerId] = useState<string | null>(null);
  const [series, setSeries] = useState(usual);
  const [twins, setTwins] = useState(1);
  const [selected, setSelected] = useState(0);
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  const [theirs, setTheirs] = useState<CorrectedPiece | null>(null);
  const [saved, setSaved] = useState<readonly { id: string; label: string }[] | null>(null);
  const [isBusy, setIsBusy] = useState(false);
  const [outlining, setOutlining] = useState<string | null>(null);
  const ids = useRef<string[]>([]);

  const byId = useMemo(() => new Map(glazes.map((glaze) => [glaze.id, glaze])), [glazes]);
  const nameOf = (id: string) => byId.get(id)?.name ?? '?';
  const coats = drawnCoats(draft, byId);
  const warnings = coatWarnings(drawable(draft), coats, byId);
  const errorOf = (field: string) =>
    errors.find((error) => error.field.replace(/^draft\./, '') === field)?.message;
  const change = (next: (before: PieceDraft) => PieceDraft) => {
    setSaved(null);
    setDraft((before) => next(whole(before)));
  };

  const save = async (version = editing?.version ?? 0) => {
    // What is saved is saved: the next one begins with a change, or by its button.
    if (isBusy || saved) return;
    setIsBusy(true);
    // A repeated submit after a lost answer must be the same rows, so ids live until one was acknowledged.
    ids.current = Array.from({ length: twins }, (_, i) => ids.current[i] ?? ulid());
    try {
      const outcome = editing
        ? await saveCorrection({ id: editing.id, version, draft })
        : await saveNewPieces({ ids: ids.current, draft, makerId, series, setWith: setWith ?? null });
      setTheirs(outcome.ok ? null : ((outcome.theirs as CorrectedPiece | undefined) ?? null));
      if (!outcome.ok) return setErrors(outcome.errors);
      setErrors([]);
      keepOnDevice(last, draft);
      drop();
      ids.current = [];
      if (editing) router.push(`/pieces/${editing.label}`);
      else setSaved(outcome.value);
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
  const add = (glaze: GlazeChoice | null) => {
    if (!glaze) return;
    change((before) => addCoat(before, glaze));
    setSelected(draft.coats.length);
  };
  const repeat = () => {
    const bands = readFromDevice<PieceDraft>(last);
    if (bands) change(() => bands);
  };
  const next = (isSame: boolean) => {
    change((before) => (isSame ? before : { ...start, ...likeLast(before) }));
    setTwins(1);
    setSelected(0);
    window.scrollTo({ top: 0 });
  };
  const startAgain = () => {
    drop();
    setDraft(start);
    drop();
  };
  return {
    ...{ draft, setDraft, change, coats, warnings, nameOf, errors, errorOf, theirs, isBusy, save, saved },
    ...{
      makerId,
      setMakerId,
      series,
      setSeries,
      twins,
      setTwins,
      selected,
      setSelected,
      outlining,
      setOutlining,
      add,
      repeat,
      startAgain,
      next,
    },
    isRestored: found && !saved,
  };
}

export type PieceEditorState = ReturnType<typeof usePieceEditor>;
