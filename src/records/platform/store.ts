import { createHash } from 'node:crypto';
import { mkdir, readFile, rename, writeFile, access } from 'node:fs/promises';
import { join } from 'node:path';

/** Where the bytes of pictures lie. Small on purpose, so that an S3-compatible store can stand in. */
export interface Store {
  /** Keeps bytes under their content hash and gives the hash back. */
  put(bytes: Buffer): Promise<string>;
  /** The bytes of a hash, or null. */
  get(hash: string): Promise<Buffer | null>;
  /** Keeps bytes derived from another picture (a thumbnail) under a name of that picture's. */
  putBeside(hash: string, name: string, bytes: Buffer): Promise<void>;
  getBeside(hash: string, name: string): Promise<Buffer | null>;
}

/** A store in a folder: files under the first two letters of their hash, written whole or not at all. */
export function folderStore(folder: string): Store {
  const pathOf = (hash: string, name = '') => join(folder, hash.slice(0, 2), hash + (name && `.${name}`));
  const write = async (path: string, bytes: Buffer) => {
    await mkdir(join(path, '..'), { recursive: true });
    const half = `${path}.${process.pid}.${Math.round(performance.now() * 1e3)}.half`;
    await writeFile(half, bytes);
    await rename(half, path);
  };
  const read = (path: string) => readFile(path).catch(() => null);
  return {
    async put(bytes) {
      const hash = createHash('sha256').update(bytes).digest('base64url');
      const there = await access(pathOf(hash)).then(
        () => true,
        () => false,
      );
      if (!there) await write(pathOf(hash), bytes);
      return hash;
    },
    get: (hash) => read(pathOf(hash)),
    putBeside: (hash, name, bytes) => write(pathOf(hash, name), bytes),
    getBeside: (hash, name) => read(pathOf(hash, name)),
  };
}

/** The store of this studio, in the data folder that the start scripts name. */
export function store(): Store {
  return folderStore(join(process.env.JITEN_DATA ?? '.jiten', 'photos'));
}
