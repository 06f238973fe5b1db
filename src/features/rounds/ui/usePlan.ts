'use client';
import { wrap, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { LaidOut, NamedRecipe, RoundQuestion } from '@/core/rounds';
import type { PlanWorker } from '@/workers/plan.worker';

/** The plan of a question, laid out in a worker; the last one stays in view until the next is there. */
export function usePlan(question: RoundQuestion, glazes: readonly NamedRecipe[]) {
  const worker = useRef<Remote<PlanWorker> | null>(null);
  const [answer, setAnswer] = useState<LaidOut | string>('Planning.');
  useEffect(() => {
    const thread = new Worker(new URL('@/workers/plan.worker.ts', import.meta.url), { type: 'module' });
    worker.current = wrap<PlanWorker>(thread);
    return () => thread.terminate();
  }, []);
  useEffect(() => {
    let stale = false;
    worker.current
      ?.layOut(question, glazes)
      .then((laid) => !stale && setAnswer(laid))
      .catch((error: Error) => !stale && setAnswer(`This round cannot be planned: ${error.message}.`));
    return () => {
      stale = true;
    };
  }, [question, glazes]);
  return typeof answer === 'string' ? { plan: answer, aliases: [] } : answer;
}
