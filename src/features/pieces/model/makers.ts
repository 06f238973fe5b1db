/** Somebody who makes pieces: a member, or a maker without a sign-in. */
export interface Maker {
  readonly id: string;
  readonly name: string;
}
