import type { NaturalExperiment } from '@/core/evidence';
import type { CaseSubject, PieceCase } from '@/records/clinic';

/** Experiments shown at a time. */
const SHOWN = 6;
/** A corrected chance above which an experiment says nothing. */
const WORTH_SHOWING = 0.3;

/** The experiments to show: those about the glazes, the firing or the clay in question first, then the surest. */
export function concerning(
  experiments: readonly NaturalExperiment[],
  found: Pick<PieceCase, 'headwords'> | null,
  subject: Pick<CaseSubject, 'words'> | null = null,
): NaturalExperiment[] {
  const names = [
    ...(subject ? [subject.words] : []),
    ...(found?.headwords.flatMap((headword) => headword.split(' over ')) ?? []),
  ];
  const near = ({ about, levels }: NaturalExperiment) =>
    names.some((name) => about.includes(name) || levels.includes(name));
  return experiments
    .filter(({ q }) => q <= WORTH_SHOWING)
    .sort((a, b) => Number(near(b)) - Number(near(a)) || a.q - b.q || a.p - b.p)
    .slice(0, SHOWN);
}
