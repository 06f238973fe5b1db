import { performance } from 'node:perf_hooks';

/** Times of work done some times over, ms. */
export async function timed(
  runs: number,
  work: (i: number) => Promise<unknown>,
): Promise<{ median: number; p95: number }> {
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const start = performance.now();
    await work(i);
    times.push(performance.now() - start);
  }
  times.sort((a, b) => a - b);
  return { median: times[runs >> 1]!, p95: times[Math.floor(runs * 0.95)]! };
}

/** Prints a line of times. */
export function show(name: string, { median, p95 }: { median: number; p95: number }): void {
  console.log(
    `${name.padEnd(56)} median ${median.toFixed(1).padStart(8)} ms   95 % ${p95.toFixed(1).padStart(8)} ms`,
  );
}
