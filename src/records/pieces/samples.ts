import { access, readFile } from 'node:fs/promises';
import { join } from 'node:path';

const pathOf = (label: string) => join(process.env.JITEN_DATA ?? '.jiten', 'samples', `${label}.webp`);

/**
 * Which pieces have a painted stand-in for a photo. Only the demo has any: its sample camera works where
 * there is no camera.
 */
export async function samplesFor(labels: readonly string[]): Promise<string[]> {
  const there = await Promise.all(
    labels.map((label) =>
      access(pathOf(label)).then(
        () => true,
        () => false,
      ),
    ),
  );
  return labels.filter((_, i) => there[i]);
}

/** The stand-in of a piece; null when there is none. */
export async function samplePicture(label: string): Promise<Buffer | null> {
  return readFile(pathOf(label)).catch(() => null);
}
