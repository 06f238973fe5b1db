interface Version1Theirs {
  readonly readings?: readonly { readonly zone_id: string }[];
}

/** A draft or a write as version 1 of the device's store held it. */
interface Version1 {
  readonly said?: unknown;
  readonly past?: readonly unknown[];
  readonly trouble?: { readonly faults?: unknown; readonly theirs?: Version1Theirs | null } | null;
  readonly write?: {
    readonly kind: string;
    readonly said?: unknown;
    readonly taken?: unknown;
    readonly stray?: unknown;
  };
}

/** A draft or an outbox item of version 1 under the names of version 2; nothing typed is lost by a new release. */
export function renamedForVersion2({ said, trouble, write, ...rest }: Version1): Record<string, unknown> {
  return {
    ...rest,
    ...(said !== undefined && { answers: said }),
    // A new release may take what the last one refused: only what needs a person's choice stays rejected.
    ...(trouble !== undefined && {
      rejection: trouble?.theirs
        ? { errors: trouble.faults ?? [], theirs: renamedTheirs(trouble.theirs) }
        : null,
    }),
    ...(write && { write: renamedWrite(write) }),
  };
}

function renamedTheirs({ readings, ...rest }: Version1Theirs) {
  if (!readings) return rest;
  return { ...rest, readings: readings.map(({ zone_id, ...more }) => ({ ...more, zoneId: zone_id })) };
}

function renamedWrite({ kind, said, taken, stray, ...rest }: NonNullable<Version1['write']>) {
  if (kind === 'piece') return { kind, reading: said };
  if (kind === 'takeBack') return { kind: 'undo', undone: taken };
  return kind === 'stray' ? { kind: 'unlogged', piece: stray } : { kind, ...rest };
}

/** The stores of version 1 as its upgrade sees them. */
export interface Version1Stores {
  objectStore(name: 'draft' | 'outbox'): { openCursor(): Promise<Version1Cursor | null> };
}

interface Version1Cursor {
  readonly value: Version1;
  update(value: unknown): Promise<unknown>;
  continue(): Promise<Version1Cursor | null>;
}

/** Renames what version 1 kept, in the transaction that raises the version. */
export async function renameForVersion2(change: Version1Stores): Promise<void> {
  for (const name of ['draft', 'outbox'] as const)
    for (let at = await change.objectStore(name).openCursor(); at; at = await at.continue())
      await at.update(renamedForVersion2(at.value));
}
