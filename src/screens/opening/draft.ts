import { ulid } from 'ulid';
import type { DefectId, Fate, Place } from '@/core/evidence';
import type { OpeningPiece } from '@/records/openings';
import type { PieceReading, ReadingDraft } from '@/records/readings';

/** What was tapped for one piece, before it is sent. */
export interface Said {
  readonly fate: Fate | null;
  readonly state: PieceReading['state'];
  readonly zones: Readonly<Record<string, ReadingDraft>>;
}

/** Starts from the live readings of a piece: only zones that are touched are written again. */
export function nothingSaid(piece: OpeningPiece): Said {
  return { fate: piece.fate, state: piece.state === 'loaded' ? 'read' : piece.state, zones: {} };
}

/** The reading of a zone as it stands: what was tapped, else the live one, else blank. */
export function readingOf(said: Said, zone: OpeningPiece['zones'][number]): ReadingDraft {
  const tapped = said.zones[zone.id];
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
    boilTest: live?.boilTest ?? null,
    defects: (live?.defects ?? []) as ReadingDraft['defects'],
  };
}

/** Changes the reading of one zone. */
export function withReading(
  said: Said,
  zone: OpeningPiece['zones'][number],
  change: Partial<ReadingDraft>,
): Said {
  return { ...said, zones: { ...said.zones, [zone.id]: { ...readingOf(said, zone), ...change } } };
}

/** Taps a defect: plain first, then spoiling, then only when looked for, then gone. */
export function tapDefect(reading: ReadingDraft, defect: DefectId): ReadingDraft['defects'] {
  const next = { 2: 3, 3: 1, 1: 0 } as const;
  const now = reading.defects.find((one) => one.defect === defect);
  if (!now) return [...reading.defects, { defect, severity: 2, place: 'everywhere' }];
  const severity = next[now.severity];
  if (severity === 0) return reading.defects.filter((one) => one.defect !== defect);
  return reading.defects.map((one) => (one.defect === defect ? { ...one, severity } : one));
}

/** Grades the defect tapped last: 1 only when looked for, 2 plain, 3 spoils the piece. */
export function gradeLast(reading: ReadingDraft, severity: 1 | 2 | 3): ReadingDraft['defects'] {
  return reading.defects.map((one, i) => (i === reading.defects.length - 1 ? { ...one, severity } : one));
}

/** Sets where a defect sits. */
export function placeDefect(reading: ReadingDraft, defect: DefectId, place: Place): ReadingDraft['defects'] {
  return reading.defects.map((one) => (one.defect === defect ? { ...one, place } : one));
}

/** Everything tapped for a piece, ready to be sent; zones that were not touched are left as they were. */
export function toSend(piece: OpeningPiece, firingId: string, said: Said): PieceReading {
  const readings =
    said.state === 'missing'
      ? []
      : piece.zones.filter((zone) => said.zones[zone.id]).map((zone) => readingOf(said, zone));
  return { pieceId: piece.id, firingId, state: said.state, fate: said.fate, readings };
}

/** The same taps, now knowing of the other reading of a zone, so that they may follow it. */
export function followed(said: Said, theirs: Readonly<Record<string, unknown>>): Said {
  const mine = said.zones[String(theirs.zone_id)];
  if (!mine) return said;
  return { ...said, zones: { ...said.zones, [mine.zoneId]: { ...mine, follows: String(theirs.id) } } };
}
