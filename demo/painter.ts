import { parentPort } from 'node:worker_threads';
import sharp from 'sharp';
import { paint, type PaintedPiece } from './paint';

sharp.concurrency(1);

parentPort!.on('message', (scene: PaintedPiece) => void send(scene));

async function send(scene: PaintedPiece): Promise<void> {
  const { data, width, height, frame } = paint(scene);
  const png = await sharp(data, { raw: { width, height, channels: 3 } })
    .png({ compressionLevel: 0 })
    .toBuffer();
  parentPort!.postMessage({ png, frame });
}
