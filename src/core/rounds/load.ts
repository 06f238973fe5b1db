/** A piece to be placed. */
export interface ToPlace {
  readonly id: string;
  /** Pieces of one group are twins and must not stand together. */
  readonly group: string;
  readonly runny: boolean;
}

export interface Placed {
  readonly id: string;
  /** 1 is the lowest shelf. */
  readonly shelf: number;
  readonly place: number;
  readonly front: boolean;
  /** On a cookie, for what it may drip. */
  readonly cookie: boolean;
}

/**
 * Spreads twins over shelves and over front and back, so that neither hides behind the other: a blocked
 * random order. Each group starts at a shelf of its own and takes the next for each twin, front and back in
 * turn; which, is drawn. Runny pieces get a cookie and go no higher than the lower half.
 *
 * @param next a seeded source of numbers from 0 to 1: the same seed gives the same load
 */
export function spreadTwins(pieces: readonly ToPlace[], shelves: number, next: () => number): Placed[] {
  const groups = new Map<string, ToPlace[]>();
  for (const piece of pieces) groups.set(piece.group, [...(groups.get(piece.group) ?? []), piece]);
  const order = shuffled([...groups.values()], next);
  const low = Math.max(1, Math.ceil(shelves / 2));
  const filled = Array.from({ length: shelves }, () => 0);
  const halves = Array.from({ length: shelves }, () => [0, 0] as [number, number]);
  const placed = order.flatMap((twins) => {
    const used = new Set<number>();
    return twins.map(({ id, runny }): Placed => {
      const open = Array.from({ length: runny ? low : shelves }, (_, i) => i);
      const fresh = open.filter((i) => !used.has(i));
      const least = Math.min(...(fresh.length ? fresh : open).map((i) => filled[i]!));
      const shelf = drawn(
        (fresh.length ? fresh : open).filter((i) => filled[i] === least),
        next,
      );
      used.add(shelf);
      const [front, back] = halves[shelf]!;
      const isFront = front === back ? next() < 0.5 : front < back;
      halves[shelf]![isFront ? 0 : 1] += 1;
      return { id, shelf: shelf + 1, place: filled[shelf]!++, front: isFront, cookie: runny };
    });
  });
  return placed.sort((a, b) => a.shelf - b.shelf || a.place - b.place);
}

function drawn<T>(from: readonly T[], next: () => number): T {
  return from[Math.floor(next() * from.length)]!;
}

function shuffled<T>(all: readonly T[], next: () => number): T[] {
  return all
    .map((one) => ({ one, at: next() }))
    .sort((a, b) => a.at - b.at)
    .map(({ one }) => one);
}
