'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRef, useState, type ReactNode, type TouchEvent } from 'react';
import { hasRelief, textureAt } from '@/core/coats';
import { MOVEMENTS, SURFACES, type DefectId } from '@/core/vocabulary';
import type { OpeningPiece, OpeningZone, ReadingDraft } from '@/records/openings';
import { ColourField } from '@/ui/kit';
import { CameBack } from './CameBack';
import { DefectPick } from './DefectPick';
import {
  asExpected,
  asTwin,
  commonOf,
  gradeLast,
  placeDefect,
  pressDefect,
  pressedAt,
  readingOf,
  tapDefectOn,
  twinNow,
  wholeOf,
  withReadings,
  type PieceDraft,
  type Answers,
} from '../model/draft';
import { FateFoot } from './FateFoot';
import type { useOpening } from './useOpening';
import css from './opening.module.css';
import { PhotoStrip } from './PhotoStrip';
import { PressDrawing } from './PressDrawing';
import { ThreeStops } from './ThreeStops';
import { useCamera } from './useCamera';
import { useOpeningKeys } from './useOpeningKeys';
import { useWhyAgain } from './useWhyAgain';
import { WordRow } from './WordRow';
import { ZonePick } from './ZonePick';

interface Props {
  readonly api: ReturnType<typeof useOpening>;
  readonly piece: OpeningPiece;
  readonly draft: PieceDraft;
  readonly state: OpeningPiece['state'];
  readonly phrases: readonly string[];
  readonly sample: boolean;
  /** What was finished last, with its way back. */
  readonly undone: ReactNode;
  readonly onFinish: (change: (said: Answers) => Answers) => void;
  readonly onStep: (by: 1 | -1) => void;
}

/** One piece, filling the screen: what came out, what is wrong with it, and what becomes of it. */
export function PieceReader({ api, piece, draft, state, phrases, sample, undone, onFinish, onStep }: Props) {
  const [zone, setZone] = useState<OpeningZone | null>(piece.zones.length === 1 ? piece.zones[0]! : null);
  const [armed, setArmed] = useState<DefectId | null>(null);
  const field = useRef<HTMLInputElement>(null);
  const { answers: said } = draft;
  const zones = zone ? [zone] : wholeOf(piece.zones);
  const readings = zones.map((one) => readingOf(said, one));
  const say = (change: (said: Answers) => Answers) => api.answer(piece, change);
  const sayZones = (change: Partial<ReadingDraft> | ((reading: ReadingDraft) => Partial<ReadingDraft>)) =>
    say((before) => withReadings(before, zones, change));
  const tap = (defect: DefectId) => {
    setArmed(defect);
    say((before) => tapDefectOn(before, zones, defect, zone === null));
  };
  const twin = twinNow(piece, api.opening.pieces, (other) => api.drafts[other.id]?.answers ?? null);
  // Once it was read, what is on record may be this piece itself.
  const knows = piece.state !== 'read' && piece.zones.some((one) => one.expected && one.expected.proofs > 0);
  const onExpected = () => knows && say((before) => asExpected(before, piece.zones));
  const onTwin = () => twin && say((before) => asTwin(before, piece.zones, twin.zones));
  const onUndo = () => api.undo(piece);
  const { onFate, question } = useWhyAgain({ said, piece, onFinish });
  useOpeningKeys({
    onSay: sayZones,
    onGrade: (severity) => sayZones((reading) => ({ defects: gradeLast(reading, severity) })),
    onZone: (by) => setZone(stepZone(piece.zones, zone, by)),
    onDefect: () => field.current?.focus(),
    onExpected,
    onTwin,
    onUndo,
    onFate,
    onFinish,
  });
  const area = zone?.area ?? null;
  const camera = useCamera(api, piece, area);
  const swipe = useSwipe(onStep);
  if (piece.zones.length === 0)
    return <p>No coat was logged {piece.label} before this firing: add its coats on the piece’s page.</p>;
  return (
    <article className={css.piece} aria-label={piece.label} {...swipe}>
      <div>
        <h1 className={css.label}>
          <span className="figures">{piece.label}</span>
          <small>
            shelf {piece.shelf}
            {state !== 'loaded' && `, ${state}${said.fate ? `: ${said.fate}` : ''}`}
          </small>
        </h1>
        <CameBack {...{ piece, said }} onSay={say} />
        <div className={css.figure}>
          <PressDrawing
            piece={piece}
            lit={zone}
            armed={armed}
            size={Math.round(Math.min(210, (150 * piece.heightMm) / piece.widthMm))}
            onZone={setZone}
            onPress={(...pressed) => say((before) => withPress(before, armed!, ...pressed))}
          />
          <ZonePick
            piece={piece}
            chosen={zone}
            onChoose={(one) => {
              setZone(one);
              setArmed(null);
            }}
          />
        </div>
        <PhotoStrip {...{ api, camera, piece, sample, area }} />
      </div>
      <div className={css.read}>
        <div className={css.sliders}>
          <ThreeStops
            label="Surface"
            stops={SURFACES}
            value={commonOf(readings, 'surface')}
            onSay={(surface) => sayZones({ surface })}
          />
          <ThreeStops
            label="Movement"
            stops={MOVEMENTS}
            value={commonOf(readings, 'movement')}
            onSay={(movement) => sayZones({ movement })}
          />
        </div>
        {zones.some((one) => hasRelief(textureAt(piece, one))) && (
          <Breaks value={commonOf(readings, 'breaks') ?? null} onSay={(breaks) => sayZones({ breaks })} />
        )}
        <DefectPick
          where={zone && piece.zones.length > 1 ? `in ${zone.headword}` : 'with it'}
          readings={readings}
          armed={armed}
          field={field}
          onTap={tap}
          onPlace={(defect, place) =>
            sayZones((reading) => ({ defects: placeDefect(reading, defect, place) }))
          }
        />
        <Words readings={readings} phrases={phrases} onSay={sayZones} />
        {zone && <Colour zone={zone} reading={readings[0]!} onSay={sayZones} />}
      </div>
      {question ?? (
        <FateFoot
          said={said}
          twin={twin?.label ?? null}
          knows={knows}
          area={area}
          undone={undone}
          mayUndo={draft.past.length > 0}
          onPhoto={camera.take}
          onExpected={onExpected}
          onTwin={onTwin}
          onUndo={onUndo}
          onFate={onFate}
          onFinish={onFinish}
        />
      )}
    </article>
  );
}

type SayZones = (change: Partial<ReadingDraft> | ((reading: ReadingDraft) => Partial<ReadingDraft>)) => void;

/** A defect pressed on the drawing of a piece. */
function withPress(
  before: Answers,
  defect: DefectId,
  at: OpeningZone,
  height: number,
  severity: 1 | 2 | 3,
): Answers {
  return withReadings(before, [at], (reading) => ({
    defects: pressDefect(reading, defect, pressedAt(height, at), severity),
  }));
}

/** Whether the glaze breaks over the texture below it. */
function Breaks({
  value,
  onSay,
}: {
  value: boolean | 'mixed' | null;
  onSay: (breaks: boolean | null) => void;
}) {
  const said = value === 'mixed' || value === null ? null : value ? 'breaks' : 'does not break';
  return (
    <WordRow
      label="Over the texture"
      options={['breaks', 'does not break'] as const}
      value={said}
      onPick={(word) => onSay(word === said ? null : word === 'breaks')}
    />
  );
}

/** A note in the studio's own phrases or one's own words, and the boil test. */
function Words({
  readings,
  phrases,
  onSay,
}: {
  readings: readonly ReadingDraft[];
  phrases: readonly string[];
  onSay: SayZones;
}) {
  const notes = [...new Set(readings.map(({ note }) => note))];
  const note = notes.length === 1 ? notes[0]! : '';
  const boiled = commonOf(readings, 'boilTest');
  return (
    <>
      <div className={css.phrases} role="group" aria-label="Phrases">
        {phrases.map((phrase) => (
          <button
            key={phrase}
            type="button"
            aria-pressed={note.includes(phrase)}
            onClick={() => onSay((reading) => ({ note: withPhrase(reading.note, phrase) }))}
          >
            {phrase}
          </button>
        ))}
      </div>
      <TextField
        label={notes.length > 1 ? 'Note for all zones (they differ now)' : 'Note'}
        value={note}
        onChange={(event) => onSay({ note: event.target.value })}
        multiline
      />
      <details className={css.later} open={boiled !== null || undefined}>
        <summary>Boil test</summary>
        <p className="small">
          Boiling water, then ice water, three times over, brings crazing out early. Gloves and eye
          protection.
        </p>
        <WordRow
          label="Boil test"
          options={['passed', 'failed'] as const}
          value={boiled === 'mixed' ? null : boiled}
          onPick={(boilTest) => onSay({ boilTest: boilTest === boiled ? null : boilTest })}
        />
      </details>
    </>
  );
}

/** The colour of one zone: measured from its photo unless somebody picked it. */
function Colour({ zone, reading, onSay }: { zone: OpeningZone; reading: ReadingDraft; onSay: SayZones }) {
  return (
    <div className={css.colour}>
      <ColourField
        label={reading.colour ? 'Colour, as picked' : zone.colour ? 'Colour, from the photo' : 'Colour'}
        value={reading.colour ?? zone.colour ?? '#888888'}
        onChange={(colour) => onSay({ colour })}
      />
      {reading.colour && (
        <Button variant="text" onClick={() => onSay({ colour: null })}>
          Take it from the photo
        </Button>
      )}
    </div>
  );
}

/** A note with a phrase put in, or taken out again. */
function withPhrase(note: string, phrase: string): string {
  const parts = note.split('; ').filter(Boolean);
  return (parts.includes(phrase) ? parts.filter((part) => part !== phrase) : [...parts, phrase]).join('; ');
}

/** The next zone up or down; past the ends stands the whole piece. */
function stepZone(zones: readonly OpeningZone[], from: OpeningZone | null, by: 1 | -1): OpeningZone | null {
  const at = from ? zones.findIndex((zone) => zone.id === from.id) : by > 0 ? -1 : zones.length;
  return zones[at + by] ?? (zones.length === 1 ? from : null);
}

/** A swipe to the side, far enough to be meant and flat enough not to be a scroll, steps to the next piece. */
function useSwipe(onStep: (by: 1 | -1) => void) {
  const start = useRef<{ x: number; y: number } | null>(null);
  return {
    onTouchStart: ({ touches, target }: TouchEvent) => {
      const own = (target as Element).closest('.MuiSlider-root, [data-armed], input, textarea, ul');
      start.current = own || touches.length > 1 ? null : { x: touches[0]!.clientX, y: touches[0]!.clientY };
    },
    onTouchEnd: ({ changedTouches }: TouchEvent) => {
      const end = changedTouches[0];
      if (!start.current || !end) return;
      const [dx, dy] = [end.clientX - start.current.x, end.clientY - start.current.y];
      start.current = null;
      if (Math.abs(dx) > 70 && Math.abs(dx) > 2 * Math.abs(dy)) onStep(dx < 0 ? 1 : -1);
    },
  };
}
