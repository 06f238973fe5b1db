import type { Form, Method, Side } from '../vocabulary';
import { wayOf } from './model';

/** What of a piece decides which pieces are its twins. */
export interface TwinFacts {
  readonly bodyId: string;
  readonly form: Form;
  /** In order of application. */
  readonly coats: readonly {
    readonly glazeId: string;
    readonly method: Method;
    readonly times: number;
    readonly side: Side;
    readonly from: number;
    readonly to: number;
    readonly wiped: boolean;
  }[];
}

/**
 * A text that is equal for two pieces exactly when they are twins: meant to come out equal. The one definition of a
 * twin: same clay, same form, and the same coats in order, each of the same glaze laid on in the same way, as often,
 * between the same edges (to a thousandth of the side), and wiped or not.
 */
export function twinText({ bodyId, form, coats }: TwinFacts): string {
  return JSON.stringify([
    bodyId,
    form,
    coats.map((coat) => [
      coat.glazeId,
      wayOf(coat.method),
      coat.times,
      coat.side,
      coat.from.toFixed(3),
      coat.to.toFixed(3),
      coat.wiped,
    ]),
  ]);
}
