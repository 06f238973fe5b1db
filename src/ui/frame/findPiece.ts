import type { Outcome } from '@/auth';
import type { BenchItem } from './BenchContext';

/** Asks the server for the piece of a number. */
export type FindPiece = (asked: { readonly number: string }) => Promise<Outcome<BenchItem>>;

/** The piece of a number, or what is said where none, or more than one, has it. */
export async function pieceOrWords(find: FindPiece, number: string): Promise<BenchItem | string> {
  try {
    const outcome = await find({ number });
    return outcome.ok ? outcome.value : outcome.errors.map(({ message }) => message).join(' ');
  } catch {
    return 'The server did not answer. Try again when the network is back.';
  }
}
