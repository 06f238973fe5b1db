import { showsWords } from '@/core/evidence';
import type { Apart, Proof } from '@/records/dictionary';

type Shown = Pick<Proof, 'label' | 'apart' | 'isDivided' | 'surface' | 'defects'>;

/** The pieces that prove a sense, each once however many of its zones do, in the order of their proofs. */
export interface SensePieces {
  /** Labels of those that count. */
  readonly counted: readonly string[];
  /** Labels of those that are shown and not counted, by what sets them apart. */
  readonly apart: readonly { readonly reason: Apart; readonly labels: readonly string[] }[];
  /** Those that disagree with themselves, with what their zones show. */
  readonly divided: readonly { readonly label: string; readonly words: string }[];
}

const REASONS = ['other version', 'missed cone', 'other atmosphere'] as const satisfies readonly Apart[];

/** Sorts the proofs of a sense by their pieces. */
export function piecesOf(proofs: readonly Shown[]): SensePieces {
  const labels = (list: readonly Shown[]) => [...new Set(list.map(({ label }) => label))];
  const divided = proofs.filter(({ isDivided }) => isDivided);
  const counting = proofs.filter(({ apart, isDivided }) => apart === null && !isDivided);
  return {
    counted: labels(counting),
    apart: REASONS.map((reason) => ({
      reason,
      labels: labels(proofs.filter(({ apart }) => apart === reason)),
    })).filter((one) => one.labels.length > 0),
    divided: labels(divided).map((label) => ({
      label,
      words: [...new Set(divided.filter((one) => one.label === label).map(showsWords))].join('; '),
    })),
  };
}
