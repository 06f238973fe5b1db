/** A refusal that a person can do something about: which field, and what is wrong with it. */
export class Refusal extends Error {
  constructor(
    readonly field: string,
    message: string,
  ) {
    super(message);
    this.name = 'Refusal';
  }
}

/**
 * Someone else changed the same record first. What they wrote is handed up in the shape of the record, so that both
 * can be shown.
 */
export class Conflict<T extends object = object> extends Error {
  constructor(
    readonly theirs: T,
    readonly theirVersion: number,
  ) {
    super('Somebody else changed this since you opened it.');
    this.name = 'Conflict';
  }
}

/** What was asked for is not there. */
export class NotFound extends Error {
  constructor(what: string) {
    super(`${what} is not there.`);
    this.name = 'NotFound';
  }
}

/** A row that was looked for. @throws NotFound when there is none */
export function found<T>(row: T, what: string): NonNullable<T> {
  if (row === undefined || row === null) throw new NotFound(what);
  return row;
}

/** Waits for a record; one that is not there is null. */
export async function nullIfNotFound<T>(record: Promise<T>): Promise<T | null> {
  return record.catch((error: unknown) => {
    if (error instanceof NotFound) return null;
    throw error;
  });
}
