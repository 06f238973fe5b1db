import { ulid } from 'ulid';
import {
  faultOf,
  ITSELF,
  PLAIN_SEVERITY,
  type AgainOutcome,
  type DefectId,
  type Fate,
  type Place,
  type Severity,
} from '@/core/vocabulary';
import type {
  CameBack,
  FaultBefore,
  OpeningPiece,
  OpeningZone,
  TwinZone,
  PieceReading,
  ReadingDraft,
} from '@/records/openings';

/** What was tapped for one piece, before it is sent. */
export interface Answers {
  readonly fate: Fate | null;
  readonly state: PieceReading['state'];
  readonly zones: Readonly<Record<string, ReadingDraft>>;
  /** Why it goes into a kiln again, in words beside the defects. */
  readonly reasons?: readonly string[];
  /** What the firing did about the reasons for which it came back; absent where nothing was tapped. */
  readonly outcomes?: Readonly<Record<string, AgainOutcome>>;
}

/** State and fate of a piece. */
export interface Standing {
  readonly state: OpeningPiece['state'];
  readonly fate: Fate | null;
}

/** A piece's taps with what is needed to take them back. */
export interface PieceDraft {
  readonly answers: Answers;
  /** The write that carries these taps, once the piece was finished; null while it is being read. */
  readonly sentAs: string | null;
  /**
   * How the piece stands on the server before this draft is sent, once the writes that wait before it have arrived;
   * null for as the server last said.
   */
  readonly before: Standing | null;
  /** Earlier taps, the newest last. */
  readonly past: readonly Answers[];
}

/** Taps that can be taken back one by one. */
const MOST_PAST = 40;

/** What of a piece its draft begins with. */
type Unread = Pick<OpeningPiece, 'fate' | 'state' | 'reasons'>;

/** A piece that nothing was tapped of yet. */
export function blankDraft(piece: Unread): PieceDraft {
  return { answers: blankAnswers(piece), sentAs: null, before: null, past: [] };
}

/** What may happen to the draft of a piece. */
export type DraftEvent =
  | { readonly type: 'answer'; readonly change: (answers: Answers) => Answers }
  | { readonly type: 'undo' }
  | { readonly type: 'finish'; readonly sentAs: string; readonly before: Standing }
  | { readonly type: 'unfinish' };

/** The draft after an event. An answer to a finished piece edits it: its readings follow those that were sent. */
export function reduceDraft(draft: PieceDraft, event: DraftEvent): PieceDraft {
  switch (event.type) {
    case 'answer': {
      const answers = draft.sentAs ? editedAnswers(draft.answers) : draft.answers;
      const past = [...draft.past, draft.answers].slice(-MOST_PAST);
      return { answers: event.change(answers), sentAs: null, before: standingAfter(draft), past };
    }
    case 'undo': {
      const answers = draft.past.at(-1);
      return answers
        ? { answers, sentAs: null, before: standingAfter(draft), past: draft.past.slice(0, -1) }
        : draft;
    }
    case 'finish':
      return { answers: draft.answers, sentAs: event.sentAs, before: event.before, past: [] };
    case 'unfinish':
      return { answers: resentAnswers(draft.answers), sentAs: null, before: draft.before, past: [] };
  }
}

/** How a piece stands once its draft is sent, where it was finished; a fate that was not tapped leaves the one before. */
function standingAfter({ answers, sentAs, before }: PieceDraft): Standing | null {
  return sentAs ? { state: answers.state, fate: answers.fate ?? before?.fate ?? null } : before;
}

/** Starts from the live readings of a piece: only zones that are touched are written again. */
export function blankAnswers({ fate, state, reasons = [] }: Unread): Answers {
  const outcomes = reasons.flatMap(({ reason, outcome }) => (outcome ? [[reason, outcome] as const] : []));
  return {
    ...{ fate, state: state === 'loaded' ? 'read' : state, zones: {} },
    ...(outcomes.length > 0 && { outcomes: Object.fromEntries(outcomes) }),
  };
}

/** The reading of a zone as it stands: what was tapped, else the live one, else blank. */
export function readingOf(answers: Answers, zone: OpeningZone): ReadingDraft {
  const tapped = answers.zones[zone.id];
  if (tapped) return tapped;
  const live = zone.readings.find((reading) => reading.stage === 'after');
  return {
    id: ulid(),
    zoneId: zone.id,
    follows: live?.id ?? null,
    stage: 'after',
    surface: (live?.surface ?? null) as ReadingDraft['surface'],
    movement: (live?.movement ?? null) as ReadingDraft['movement'],
    colour: live?.colour ?? null,
    note: live?.note ?? '',
    breaks: live?.breaks ?? null,
    boilTest: live?.boilTest ?? null,
    ageDays: live?.ageDays ?? null,
    defects: (live?.defects ?? []) as ReadingDraft['defects'],
  };
}

type Change = Partial<ReadingDraft> | ((reading: ReadingDraft) => Partial<ReadingDraft>);

/** Changes the readings of zones. */
export function withReadings(answers: Answers, zones: readonly OpeningZone[], change: Change): Answers {
  const changed = zones.map((zone) => {
    const before = readingOf(answers, zone);
    return { before, after: { ...before, ...(typeof change === 'function' ? change(before) : change) } };
  });
  // What was said of a defect no longer holds once the defect itself is tapped.
  const severity = (reading: ReadingDraft, defect: string) =>
    reading.defects.find((one) => one.defect === defect)?.severity;
  const outcomes = Object.entries(answers.outcomes ?? {}).filter(([reason]) =>
    changed.every(({ before, after }) => severity(before, reason) === severity(after, reason)),
  );
  return {
    ...answers,
    zones: { ...answers.zones, ...Object.fromEntries(changed.map(({ after }) => [after.zoneId, after])) },
    ...(answers.outcomes && { outcomes: Object.fromEntries(outcomes) }),
  };
}

/** Whether some zone of a piece plainly shows a defect, as it was tapped. */
export function isPlain(answers: Answers, { zones }: Pick<OpeningPiece, 'zones'>): boolean {
  return zones.some((zone) =>
    readingOf(answers, zone).defects.some(({ severity }) => severity >= PLAIN_SEVERITY),
  );
}

/**
 * Says what firing again did about one reason, or takes it back when it is said again. Of a defect it is the reading as
 * well: it is written where it had been, as bad as is said.
 */
export function sayOutcome(
  answers: Answers,
  { zones }: Pick<OpeningPiece, 'zones'>,
  { reason, was }: CameBack,
  outcome: AgainOutcome,
): Answers {
  const { [reason]: before, ...others } = answers.outcomes ?? {};
  const isTakenBack = before === outcome;
  const over = zones.flatMap((zone) => {
    const there = was.filter((fault) => isOver(fault, zone));
    return there.length > 0 ? [{ zone, worst: worstOf(there) }] : [];
  });
  const read = withReadings(
    answers,
    over.map(({ zone }) => zone),
    (reading) => {
      const { worst } = over.find(({ zone }) => zone.id === reading.zoneId)!;
      const severity = isTakenBack ? 0 : severityAfter(worst.severity, outcome);
      const rest = reading.defects.filter(({ defect }) => defect !== reason);
      const defect = reason as DefectId;
      return {
        defects: severity === 0 ? rest : [...rest, { defect, severity, place: worst.place }],
      };
    },
  );
  return { ...read, outcomes: isTakenBack ? others : { ...others, [reason]: outcome } };
}

const worstOf = (faults: readonly FaultBefore[]) =>
  faults.reduce((worst, one) => (one.severity > worst.severity ? one : worst));

/** How bad a defect is by now; 0 for gone. */
function severityAfter(before: Severity, outcome: AgainOutcome): 0 | Severity {
  if (outcome === 'gone') return 0;
  const by = { better: -1, same: 0, worse: 1 }[outcome];
  return Math.min(3, Math.max(1, before + by)) as Severity;
}

/** Whether a fault was on a stretch that a zone shares. */
function isOver(fault: FaultBefore, zone: OpeningZone): boolean {
  return (
    fault.side === zone.side &&
    fault.area === (zone.area ?? null) &&
    fault.from < zone.to &&
    zone.from < fault.to
  );
}

/** The taps of a finished piece taken up again: its readings follow the ones that were sent. */
export function editedAnswers(answers: Answers): Answers {
  const zones = Object.values(answers.zones).map((reading): [string, ReadingDraft] => [
    reading.zoneId,
    { ...reading, id: ulid(), follows: reading.id },
  ]);
  return { ...answers, zones: Object.fromEntries(zones) };
}

/** The taps of a piece that was taken back: as they were, to be sent under new ids. */
export function resentAnswers(answers: Answers): Answers {
  const zones = Object.values(answers.zones).map((reading): [string, ReadingDraft] => [
    reading.zoneId,
    { ...reading, id: ulid() },
  ]);
  return { ...answers, zones: Object.fromEntries(zones) };
}

/**
 * Taps a defect: plain first, then spoiling, then only when looked for, then gone.
 *
 * @param place where it sits until somebody says
 */
export function tapDefect(
  reading: ReadingDraft,
  defect: DefectId,
  place: Place = 'everywhere',
): ReadingDraft['defects'] {
  const next = { 2: 3, 3: 1, 1: 0 } as const;
  const now = reading.defects.find((one) => one.defect === defect);
  if (!now) return [...reading.defects, { defect, severity: 2, place }];
  const severity = next[now.severity];
  if (severity === 0) return reading.defects.filter((one) => one.defect !== defect);
  return reading.defects.map((one) => (one.defect === defect ? { ...one, severity } : one));
}

/** The zones that a tap on the whole piece is about: the glazed ones, or all of a bare piece. */
export function wholeOf(zones: readonly OpeningZone[]): readonly OpeningZone[] {
  const glazed = zones.filter((zone) => zone.stack.length > 0);
  return glazed.length ? glazed : zones;
}

/** What zones have in common: their value, null when nothing is noted of any, 'mixed' when they differ. */
export function commonOf<K extends 'surface' | 'movement' | 'breaks' | 'boilTest'>(
  readings: readonly ReadingDraft[],
  key: K,
): ReadingDraft[K] | 'mixed' {
  const values = new Set(readings.map((reading) => reading[key]));
  return values.size > 1 ? 'mixed' : ([...values][0] ?? null);
}

/**
 * Taps a defect on several zones at once: on those that have it, or on all when none has. What may be the fault of the
 * piece or of its glazes is the piece's own, when the whole piece was tapped, until somebody says otherwise.
 */
export function tapDefectOn(
  answers: Answers,
  zones: readonly OpeningZone[],
  defect: DefectId,
  isWhole = false,
): Answers {
  const having = zones.filter((zone) =>
    readingOf(answers, zone).defects.some((one) => one.defect === defect),
  );
  return withReadings(answers, having.length ? having : zones, (reading) => {
    const isBare = zones.find(({ id }) => id === reading.zoneId)?.stack.length === 0;
    const place = faultOf(defect) === 'either' && (isWhole || isBare) ? ITSELF : 'everywhere';
    return { defects: tapDefect(reading, defect, place) };
  });
}

/** Grades the defect tapped last: 1 only when looked for, 2 plain, 3 spoils the piece. */
export function gradeLast(reading: ReadingDraft, severity: 1 | 2 | 3): ReadingDraft['defects'] {
  return reading.defects.map((one, i) => (i === reading.defects.length - 1 ? { ...one, severity } : one));
}

/** Sets where a defect sits. */
export function placeDefect(reading: ReadingDraft, defect: DefectId, place: Place): ReadingDraft['defects'] {
  return reading.defects.map((one) => (one.defect === defect ? { ...one, place } : one));
}

/** Puts a defect where it was pressed, as bad as it was pressed long. */
export function pressDefect(
  reading: ReadingDraft,
  defect: DefectId,
  place: Place,
  severity: 1 | 2 | 3,
): ReadingDraft['defects'] {
  return [...reading.defects.filter((one) => one.defect !== defect), { defect, severity, place }];
}

/** How long a press lasts until it says plain, and until it says that the piece is spoiled, ms. */
export const PRESS_MS = { plain: 350, spoils: 1000 } as const;

/** The severity that a press says. */
export function pressedFor(ms: number): 1 | 2 | 3 {
  return ms < PRESS_MS.plain ? 1 : ms < PRESS_MS.spoils ? 2 : 3;
}

/** The place that a press on the drawing names: rim and foot are the last twelfth, an overlap is where glazes lie over each other. */
export function pressedAt(height: number, zone: Pick<OpeningZone, 'stack'>): Place {
  if (height > 11 / 12) return 'rim';
  if (height < 1 / 12) return 'foot';
  return new Set(zone.stack.map((layer) => layer.glaze)).size > 1 ? 'overlap' : 'spot';
}

/** Everything tapped for a piece, ready to be sent; zones that were not touched are left as they were. */
export function readingToSend(
  piece: OpeningPiece,
  firingId: string,
  answers: Answers,
  { fate }: Standing = piece,
): PieceReading {
  const readings =
    answers.state === 'missing'
      ? []
      : piece.zones.filter((zone) => answers.zones[zone.id]).map((zone) => readingOf(answers, zone));
  return {
    pieceId: piece.id,
    firingId,
    state: answers.state,
    fate: answers.fate,
    fateBefore: fate,
    ...(answers.reasons && { reasons: answers.reasons }),
    ...(answers.outcomes && { outcomes: answers.outcomes }),
    readings,
  };
}

/** What the dictionary expects, as taps: surface and movement of every zone that has proofs. */
export function asExpected(answers: Answers, zones: readonly OpeningZone[]): Answers {
  const known = zones.filter((zone) => zone.expected && zone.expected.proofs > 0);
  return known.reduce(
    (so, zone) =>
      withReadings(so, [zone], {
        surface: zone.expected!.surface as ReadingDraft['surface'],
        movement: zone.expected!.movement as ReadingDraft['movement'],
      }),
    answers,
  );
}

/** What was read on a twin, as taps: each zone takes over from the twin's zone about its middle. */
export function asTwin(answers: Answers, zones: readonly OpeningZone[], twin: readonly TwinZone[]): Answers {
  return zones.reduce((so, zone) => {
    const middle = (zone.from + zone.to) / 2;
    const like = twin.find(
      (one) =>
        (one.area ?? null) === (zone.area ?? null) &&
        one.side === zone.side &&
        one.from <= middle &&
        one.to >= middle,
    );
    if (!like) return so;
    return withReadings(so, [zone], {
      surface: like.surface as ReadingDraft['surface'],
      movement: like.movement as ReadingDraft['movement'],
      defects: like.defects as ReadingDraft['defects'],
    });
  }, answers);
}

/**
 * The twin of a piece to take a reading over from: one read on this device at this opening, else the newest
 * one that the server knows; null when none was read.
 */
export function twinNow(
  piece: OpeningPiece,
  pieces: readonly OpeningPiece[],
  saidOf: (piece: OpeningPiece) => Answers | null,
): OpeningPiece['twin'] {
  for (const other of pieces) {
    if (other.id === piece.id || other.twinKey !== piece.twinKey) continue;
    const answers = saidOf(other);
    if (answers?.state === 'read' && Object.keys(answers.zones).length)
      return { label: other.label, zones: zonesAsRead(other, answers) };
  }
  return piece.twin;
}

/** The zones of a piece with what was tapped of each. */
const zonesAsRead = (piece: OpeningPiece, answers: Answers): readonly TwinZone[] =>
  piece.zones.map((zone) => ({ ...zone, ...readingOf(answers, zone) }));

/** What is said of a piece when it came out as one like it did: its readings and its fate, not its notes. */
export function sameAs(other: OpeningPiece, said: Answers, piece: OpeningPiece) {
  return (before: Answers): Answers => ({
    ...asTwin(before, piece.zones, zonesAsRead(other, said)),
    ...{ state: 'read', fate: said.fate, reasons: said.reasons },
  });
}

/** What somebody else recorded of a piece first. */
export interface OtherReading {
  readonly readings?: readonly {
    readonly id: string;
    readonly zoneId: string;
    readonly surface: string | null;
    readonly movement: string | null;
    readonly note: string;
    readonly defects: readonly { readonly defect: string }[];
  }[];
  readonly fate?: Fate | null;
}

/** The same reading, now following what the other recorded. */
export function rebasedOn(reading: PieceReading, theirs: OtherReading): PieceReading {
  const other = (zoneId: string) => theirs.readings?.find((reading) => reading.zoneId === zoneId);
  return {
    ...reading,
    ...(theirs.fate !== undefined && { fateBefore: theirs.fate }),
    readings: reading.readings.map((zone) => ({
      ...zone,
      follows: other(zone.zoneId)?.id ?? zone.follows,
    })),
  };
}
