import { causeOf, rank, type CauseId, type Evidence } from '@/core/clinic';
import {
  defectOf,
  naturalExperiments,
  shareOf,
  type DefectId,
  type DoneZone,
  type Share,
} from '@/core/evidence';
import { aboutOf, type About } from '@/records/about';
import { listCases } from '@/records/cases';
import { doneZones, pieceCase, piecesWith, type DefectProof } from '@/records/clinic';
import type { Db } from '@/records/db';
import { orNull } from '@/records/faults';
import { studioBook } from '@/records/materials';
import { concerning } from './concerning';
import { forwardOf } from './forwardOf';
import { testAddress } from './testAddress';
import { toldEvidence, type Told } from './told';

/** So much of a firing has to show a defect for the firing to be meant, share of its pieces (judgement). */
const WHOLE = 0.6;

/** What is asked about: a piece by its label, or something wider as it stands in an address. */
export interface Subject {
  readonly label: string | null;
  readonly about: string | null;
}

export type Diagnosis = Awaited<ReturnType<typeof diagnosisOf>>;

/** Everything a diagnosis shows: the piece's own record, the studio's tiles, and what earlier cases ended with. */
export async function diagnosisOf(base: Db, defect: DefectId, subject: Subject, told: readonly Told[]) {
  const about = await aboutOf(base, subject.about);
  const proofs = await piecesWith(base, defect, about);
  const label = subject.label ?? (about ? (proofs[0]?.label ?? null) : null);
  const [found, zones, closed, book] = await Promise.all([
    label ? orNull(pieceCase(base, label, defect)) : null,
    doneZones(base, defect),
    listCases(base, { open: false, defect }),
    studioBook(base),
  ]);
  const shelves = about?.kind === 'firing' ? byShelf(zones, about) : [];
  const evidence: Evidence = { ...found?.evidence, ...patternOf(shelves), ...toldEvidence(told) };
  const ranking = rank(defect, evidence);
  const first: CauseId = ranking.causes[0]!.cause.id;
  return {
    defect: defectOf(defect)!,
    about,
    found,
    proofs: withOwn(proofs, found),
    evidence,
    ranking,
    shelves,
    experiments: concerning(naturalExperiments(zones), found, about),
    earlier: closed.map(({ id, number, cause, helped }) => ({
      id,
      number,
      words: `${causeOf(cause!).name}; what helped: ${helped}`,
    })),
    forward: forwardOf(defect, found, zones, book),
    testAt: testAddress(first, found),
    first,
  };
}

/** The proofs, the piece in question first. */
function withOwn(proofs: readonly DefectProof[], found: Awaited<ReturnType<typeof pieceCase>> | null) {
  if (!found) return proofs;
  const { label, photos } = found.piece;
  const own = { label, photoHash: photos[0]?.hash ?? null, headword: found.headwords.join(', ') };
  return [own, ...proofs.filter((one) => one.label !== label)].slice(0, 8);
}

/** Pieces of a firing with the defect, shelf by shelf. */
function byShelf(zones: readonly DoneZone[], { words }: About): (readonly [string, Share])[] {
  const own = zones.filter(({ firing }) => firing === words);
  return [...new Set(own.map(({ shelf }) => shelf))].sort().map((shelf) => {
    const here = own.filter((zone) => zone.shelf === shelf);
    const pieces = (some: readonly DoneZone[]) => new Set(some.map(({ pieceId }) => pieceId)).size;
    return [shelf, shareOf(pieces(here.filter(({ hasDefect }) => hasDefect)), pieces(here))] as const;
  });
}

/** Whether the whole of a firing shows it, or one shelf alone. */
function patternOf(shelves: readonly (readonly [string, Share])[]): Evidence {
  const sum = (of: (share: Share) => number) => shelves.reduce((all, [, share]) => all + of(share), 0);
  if (shelves.length === 0) return {};
  if (sum(({ count }) => count) >= WHOLE * sum(({ of }) => of)) return { pattern: 'whole-firing' };
  const showing = shelves.filter(([, { count }]) => count > 0);
  return showing.length === 1 && showing[0]![1].count > 1 ? { pattern: 'one-shelf' } : {};
}
