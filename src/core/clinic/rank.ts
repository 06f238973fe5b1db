import type { DefectId } from '../vocabulary';
import { causeOf, type Cause, type CauseId } from './causes';
import type { Evidence } from './evidence';
import { FINDINGS, type Finding } from './findings';
import { LINKS, PARTNERS } from './links';

/** What a finding adds for one cause, bits. */
export interface Reason {
  readonly finding: string;
  readonly words: string;
  readonly bits: number;
}

export interface RankedCause {
  readonly cause: Cause;
  /** Share of belief among the causes of this defect, 0 to 1; with {@link Ranking.other} they make 1. */
  readonly score: number;
  /** What speaks for it, the strongest first. */
  readonly because: readonly Reason[];
  readonly against: readonly Reason[];
  /** Another cause that it needs beside it, when that one is not ruled out. */
  readonly with: CauseId | null;
}

export interface Ranking {
  readonly causes: readonly RankedCause[];
  /** Belief that it is none of these, 0 to 1. */
  readonly other: number;
  /** Whether the first cause stands out; when false there is not enough to tell. */
  readonly enough: boolean;
}

/** How much less likely each cause is than the one before it in the list, before anything is known, bits. */
const STEP = 0.6;
/** No cause of the list starts lower than this, bits below the first. */
const LEAST = -3;
/** Belief in a cause that is not listed, before anything is known, bits against the first. */
const OTHER = -2.5;
/** The first cause stands out from this belief on, and when it leads by so much. */
const STANDS_OUT = { share: 0.4, lead: 0.12 };
/** A reason weaker than this is not worth a line, bits. */
const WORTH_SAYING = 0.3;

/** The findings that hold and have to do with a defect. */
function findingsOf(defect: DefectId, evidence: Evidence): Finding[] {
  return FINDINGS.filter(({ only, holds }) => (!only || only.includes(defect)) && holds(evidence));
}

/** What evidence shows that has to do with a defect, in words. */
export function foundWords(defect: DefectId, evidence: Evidence): string[] {
  const linked = new Set<CauseId>(LINKS[defect]);
  return findingsOf(defect, evidence)
    .filter(({ says }) => Object.keys(says).some((cause) => linked.has(cause as CauseId)))
    .map(({ words }) => words);
}

/** What findings say of a cause: of each group the strongest for it and the strongest against it, once. */
function reasonsFor(cause: CauseId, findings: readonly Finding[]): Reason[] {
  const best = new Map<string, Reason>();
  for (const { id, group, words, says } of findings) {
    const bits = says[cause] ?? 0;
    if (bits === 0) continue;
    const key = `${group} ${bits > 0}`;
    const known = best.get(key);
    if (!known || Math.abs(bits) > Math.abs(known.bits)) best.set(key, { finding: id, words, bits });
  }
  return [...best.values()];
}

function prior(place: number): number {
  return Math.max(LEAST, -STEP * place);
}

/** Beliefs of the causes of a defect and, last, of none of them; they add up to 1. */
function beliefs(defect: DefectId, findings: readonly Finding[]): number[] {
  const bits = LINKS[defect].map(
    (cause, i) => prior(i) + reasonsFor(cause, findings).reduce((sum, reason) => sum + reason.bits, 0),
  );
  const odds = [...bits, OTHER].map((value) => 2 ** value);
  const all = odds.reduce((sum, value) => sum + value, 0);
  return odds.map((value) => value / all);
}

/**
 * Ranks the causes of a defect by what was told of it: a Bayesian sum of weights, in bits, in which findings
 * that say the same thing count once. The order in which evidence is given does not matter, and any subset
 * will do.
 *
 * @example rank('pitting', { glazeHas: ['silicon-carbide'], onlyWhereThick: true }).causes[0].cause.id // 'glaze-gas'
 */
export function rank(defect: DefectId, evidence: Evidence): Ranking {
  const findings = findingsOf(defect, evidence);
  const shares = beliefs(defect, findings);
  const causes = LINKS[defect]
    .map((id, i): RankedCause => {
      const reasons = reasonsFor(id, findings).sort((a, b) => Math.abs(b.bits) - Math.abs(a.bits));
      const partner = PARTNERS[id];
      const place = partner ? LINKS[defect].indexOf(partner) : -1;
      return {
        cause: causeOf(id),
        score: shares[i]!,
        because: reasons.filter(({ bits }) => bits >= WORTH_SAYING),
        against: reasons.filter(({ bits }) => bits <= -WORTH_SAYING),
        with: place >= 0 && !ruledOut(partner!, findings) ? partner! : null,
      };
    })
    .sort((a, b) => b.score - a.score);
  const [first, second] = causes;
  const lead = first!.score - Math.max(second?.score ?? 0, shares.at(-1)!);
  return {
    causes,
    other: shares.at(-1)!,
    enough: first!.because.length > 0 && first!.score >= STANDS_OUT.share && lead >= STANDS_OUT.lead,
  };
}

function ruledOut(cause: CauseId, findings: readonly Finding[]): boolean {
  return reasonsFor(cause, findings).reduce((sum, reason) => sum + reason.bits, 0) < -1.5;
}

/**
 * The doubt that is left about the causes of a defect: entropy of the beliefs, bits.
 */
export function doubt(defect: DefectId, evidence: Evidence): number {
  return entropy(beliefs(defect, findingsOf(defect, evidence)));
}

function entropy(shares: readonly number[]): number {
  return shares.reduce((sum, share) => (share > 0 ? sum - share * Math.log2(share) : sum), 0);
}

/**
 * What an observation with these answers is expected to take off the doubt, bits (≥ 0): the mutual information
 * between its answer and the cause. Each answer is held as likely under a cause as its weights say, answers
 * being equally likely where the table says nothing.
 *
 * @param answers the evidence as it would be with each answer
 */
export function expectedDrop(defect: DefectId, evidence: Evidence, answers: readonly Evidence[]): number {
  const now = findingsOf(defect, evidence);
  const before = beliefs(defect, now);
  const causes = LINKS[defect];
  const total = (cause: CauseId, findings: readonly Finding[]) =>
    reasonsFor(cause, findings).reduce((sum, reason) => sum + reason.bits, 0);
  const after = answers.map((answer) => findingsOf(defect, answer));
  // One row a cause, the last for none of them: the chance of each answer.
  const chances = [...causes, null].map((cause) => {
    const weights = after.map((findings) => (cause ? 2 ** (total(cause, findings) - total(cause, now)) : 1));
    const sum = weights.reduce((all, weight) => all + weight, 0);
    return weights.map((weight) => weight / sum);
  });
  const left = answers.reduce((sum, _, a) => {
    const joint = before.map((share, c) => share * chances[c]![a]!);
    const chance = joint.reduce((all, share) => all + share, 0);
    return chance > 0 ? sum + chance * entropy(joint.map((share) => share / chance)) : sum;
  }, 0);
  return Math.max(0, entropy(before) - left);
}
