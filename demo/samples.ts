import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { paint, type PaintedPiece } from './paint';

const folderOf = () => join(process.env.JITEN_DATA!, 'samples');

/** Keeps what the sample camera will see of a piece that nobody has read yet. */
export async function keepScene(label: string, scene: PaintedPiece): Promise<void> {
  await mkdir(folderOf(), { recursive: true });
  await writeFile(join(folderOf(), `${label}.json`), JSON.stringify(scene));
}

/** Paints the sample pictures that are missing. */
export async function paintSamples(): Promise<void> {
  const names = await readdir(folderOf()).catch((): string[] => []);
  for (const name of names) {
    const made = name.replace('.json', '.webp');
    if (name === made || names.includes(made)) continue;
    const scene = JSON.parse(await readFile(join(folderOf(), name), 'utf8')) as PaintedPiece;
    const { data, width, height } = paint(scene);
    await sharp(data, { raw: { width, height, channels: 3 } })
      .webp({ quality: 90 })
      .toFile(join(folderOf(), made));
  }
}
