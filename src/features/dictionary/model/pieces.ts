import { showsWords } from '@/core/evidence';
import type { Proof } from '@/records/dictionary';

type Shown = Pick<Proof, 'label' | 'counts' | 'isDivided' | 'surface' | 'defects'>;

/** The pieces that prove a sense, each once however many of its zones do, in the order of their proofs. */
export interface SensePieces {
  /** Labels of those that count. */
  readonly counted: readonly string[];
  /** Labels of those of an older recipe, or of a firing that missed its cone. */
  readonly apart: readonly string[];
  /** Those that disagree with themselves, with what their zones show. */
  readonly divided: readonly { readonly label: string; readonly words: string }[];
}

/** Sorts the proofs of a sense by their pieces. */
export function piecesOf(proofs: readonly Shown[]): SensePieces {
  const labels = (list: readonly Shown[]) => [...new Set(list.map(({ label }) => label))];
  const divided = proofs.filter(({ isDivided }) => isDivided);
  const counting = proofs.filter(({ counts, isDivided }) => counts && !isDivided);
  return {
    counted: labels(counting),
    apart: labels(proofs.filter(({ counts }) => !counts)),
    divided: labels(divided).map((label) => ({
      label,
      words: [...new Set(divided.filter((one) => one.label === label).map(showsWords))].join('; '),
    })),
  };
}
