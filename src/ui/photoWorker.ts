'use client';
import { wrap, type Remote } from 'comlink';
import type { PhotoWorker } from '@/workers/photo.worker';

let held: Remote<PhotoWorker> | null = null;

/** The one thread that looks at photos; made at first use and kept, so that it is there without a network. */
export function photoWorker(): Remote<PhotoWorker> {
  held ??= wrap<PhotoWorker>(
    new Worker(new URL('../workers/photo.worker.ts', import.meta.url), { type: 'module' }),
  );
  return held;
}
