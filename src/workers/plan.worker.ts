import { expose } from 'comlink';
import { layOut } from '@/core/rounds';

/** Lays rounds out off the page's own thread. */
const face = { layOut };
export type PlanWorker = typeof face;

expose(face);
