import 'server-only';
import { closedCauseWords, common, curesOf, rank, type CauseId, type Evidence } from '@/core/clinic';
import { defectOf, type DefectId } from '@/core/vocabulary';
import { fisherTwoSided, shareOverFirings, type FiredZoneFacts, type Proportion } from '@/core/evidence';
import {
  findCaseSubject,
  firedAgain,
  type CaseSubject,
  listCases,
  pieceCase,
  piecesWith,
  type DefectProof,
  studioRecord,
} from '@/records/clinic';
import { type Db, nullIfNotFound } from '@/records/platform';
import { studioBook } from '@/records/materials';
import { firedRungs } from '@/records/rounds';
import { concerning } from '../model/concerning';
import { forwardOf } from '../model/forwardOf';
import { testAddress } from '../model/testAddress';
import { evidenceFromAnswers, type GivenAnswer } from '../model/answers';

/** So much of the pieces of the same glazes has to show a defect for the firing to be meant, share (judgement). */
const WHOLE = 0.6;
/** And more than so much of all pieces at risk in it, share. */
const MOST = 0.5;

/** Pieces of something wider that are looked up for what they have in common. */
const ALIKE = 4;
/** A clay or a firing alone shows it when others have it less than this often, against it, and chance is as unlikely as this. */
const ALONE = { share: 0.2, chance: 0.01 } as const;

/** What is asked about: a piece by its label, or something wider as it stands in an address. */
export interface Subject {
  readonly label: string | null;
  readonly about: string | null;
}

export type Diagnosis = Awaited<ReturnType<typeof diagnosisOf>>;

/** Everything a diagnosis shows: the piece's own record, the studio's tiles, and what earlier cases ended with. */
export async function diagnosisOf(
  base: Db,
  defect: DefectId,
  subject: Subject,
  told: readonly GivenAnswer[],
) {
  const about = await findCaseSubject(base, subject.about);
  const proofs = await piecesWith(base, defect, about);
  const labels = [subject.label ?? [], about ? proofs.map(({ label }) => label) : []].flat();
  const [pieces, { zones, experiments }, closed, book, again] = await Promise.all([
    Promise.all(
      [...new Set(labels)]
        .slice(0, ALIKE)
        .map((label) => nullIfNotFound(pieceCase(base, label, defect, about))),
    ),
    studioRecord(base, defect),
    listCases(base, { open: false, defect }),
    studioBook(base),
    firedAgain(base, defect),
  ]);
  const shelves = about?.kind === 'firing' ? byShelf(zones, about) : [];
  const known = pieces.filter((piece) => piece !== null);
  const found = known[0] ?? null;
  const fired = found ? await firedRungs(base, found.piece.bodyId) : [];
  const record = {
    ...common(known.map((piece) => piece.evidence)),
    ...patternOf(shelves),
    ...(about?.kind === 'body' && bodyAlone(zones, about)),
    ...(found && !about && firingAlone(zones, found.piece.id)),
  };
  const evidence: Evidence = { ...record, ...evidenceFromAnswers(told) };
  const ranking = rank(defect, evidence);
  const first: CauseId = ranking.causes[0]!.cause.id;
  return {
    defect: defectOf(defect)!,
    about,
    found,
    /** What the pieces that were looked up have in common, and how many they are. */
    record,
    alike: known.length,
    proofs: withOwn(proofs, found),
    evidence,
    ranking,
    shelves,
    experiments: concerning(experiments, found, about),
    cures: curesOf(again),
    earlier: closed.map(({ id, number, cause, causeWords, helped }) => ({
      id,
      number,
      words: `${closedCauseWords(cause!, causeWords)}; what helped: ${helped}`,
    })),
    forward: forwardOf(defect, found, zones, book, fired),
    testAt: testAddress(first, found),
    first,
  };
}

/** The proofs, the piece in question first. */
function withOwn(proofs: readonly DefectProof[], found: Awaited<ReturnType<typeof pieceCase>> | null) {
  if (!found) return proofs;
  const { label, photos } = found.piece;
  const known = proofs.find((one) => one.label === label);
  const own: DefectProof = {
    label,
    photo: photos[0] ?? null,
    headword: found.headwords.join(', '),
    zones: known?.zones ?? [],
  };
  return [own, ...proofs.filter((one) => one.label !== label)].slice(0, 8);
}

/** Pieces of a firing with the defect, shelf by shelf. */
function byShelf(
  zones: readonly FiredZoneFacts[],
  { words }: CaseSubject,
): (readonly [string, Proportion])[] {
  const own = zones.filter(({ firing }) => firing === words);
  return [...new Set(own.map(({ shelf }) => shelf))]
    .sort()
    .map((shelf) => [shelf, shareIn(own.filter((zone) => zone.shelf === shelf))] as const);
}

/** Pieces with the defect among those of some zones. */
function shareIn(zones: readonly FiredZoneFacts[]): Proportion {
  const pieces = (some: readonly FiredZoneFacts[]) => new Set(some.map(({ pieceId }) => pieceId)).size;
  const firings = new Set(zones.map(({ firing }) => firing)).size;
  return shareOverFirings(pieces(zones.filter(({ hasDefect }) => hasDefect)), pieces(zones), firings);
}

/** Whether one clay shows it and the others hardly do. */
function bodyAlone(zones: readonly FiredZoneFacts[], { words }: CaseSubject): Evidence {
  return standsOut(zones, ({ body }) => body === words) ? { pattern: 'one-body' } : {};
}

/**
 * Whether the glazes of a piece show it all through its firing and hardly in others of that atmosphere: then it is
 * the firing's, and twins from other firings do not make it one piece alone.
 */
function firingAlone(zones: readonly FiredZoneFacts[], pieceId: string): Evidence {
  const own = zones.find((zone) => zone.pieceId === pieceId && zone.hasDefect);
  if (!own) return {};
  const glazes = new Set(own.layers.map(({ glaze }) => glaze));
  const alike = zones.filter(
    ({ atmosphere, layers }) =>
      atmosphere === own.atmosphere && layers.some(({ glaze }) => glazes.has(glaze)),
  );
  const here = shareIn(alike.filter(({ firing }) => firing === own.firing));
  const whole =
    (here.share ?? 0) >= WHOLE &&
    isMost(zones, own.firing) &&
    standsOut(alike, ({ firing }) => firing === own.firing);
  return whole ? { pattern: 'whole-firing' } : {};
}

/** Whether most pieces at risk in a firing show it: all that carry anything. */
function isMost(zones: readonly FiredZoneFacts[], firing: string): boolean {
  const atRisk = zones.filter((zone) => zone.firing === firing && (zone.layers.length > 0 || zone.slips));
  return (shareIn(atRisk).share ?? 0) > MOST;
}

/** Whether some zones show it and the others hardly do. */
function standsOut(zones: readonly FiredZoneFacts[], is: (zone: FiredZoneFacts) => boolean): boolean {
  const own = shareIn(zones.filter(is));
  const others = shareIn(zones.filter((zone) => !is(zone)));
  if (!own.share || (others.share ?? 0) > ALONE.share * own.share) return false;
  const row = ({ count, of }: Proportion) => [count, of - count] as const;
  return fisherTwoSided([row(own), row(others)]) < ALONE.chance;
}

/** Whether the whole of a firing shows it, or one shelf alone. */
function patternOf(shelves: readonly (readonly [string, Proportion])[]): Evidence {
  const sum = (of: (share: Proportion) => number) => shelves.reduce((all, [, share]) => all + of(share), 0);
  if (shelves.length === 0) return {};
  if (sum(({ count }) => count) >= WHOLE * sum(({ of }) => of)) return { pattern: 'whole-firing' };
  const showing = shelves.filter(([, { count }]) => count > 0);
  return showing.length === 1 && showing[0]![1].count > 1 ? { pattern: 'one-shelf' } : {};
}
