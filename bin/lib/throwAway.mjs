import { accessSync, constants, mkdtempSync, statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const MEMORY = '/dev/shm';
const ROOM = 4 * 2 ** 30;

function memoryHasRoom() {
  try {
    accessSync(MEMORY, constants.W_OK);
    const { bavail, bsize } = statfsSync(MEMORY);
    return bavail * bsize > ROOM;
  } catch {
    return false;
  }
}

/**
 * A new folder for databases that nobody needs afterwards: in memory where there are 4 GiB of room, else among
 * the temporary files. A migrated database is some hundred files; on a slow disk each took up to a minute.
 */
export const throwAwayFolder = (name) =>
  mkdtempSync(join(memoryHasRoom() ? MEMORY : tmpdir(), `jiten-${name}-`));
