import { expose, transfer } from 'comlink';
import {
  cutOut,
  findCracks,
  findPits,
  greyGains,
  guessFrame,
  measureZone,
  uprightCrop,
  WHOLE,
  withGains,
  zoneBox,
  zonePatch,
  type Frame,
  type Gains,
  type Pixels,
  type Point,
  type ZoneColour,
} from '@/core/photo';
import type { Form, Side, View } from '@/core/vocabulary';

/** The longest side a photo is sent at, px; enough to count pits on a 10 cm tile. */
const LONGEST = 2400;
/** The longest side that colours are measured at, px. */
const MEASURED = 900;

/** A zone to be looked at in a photo. */
export interface AskedZone {
  readonly id: string;
  readonly side: Side;
  readonly from: number;
  readonly to: number;
}

/** How a photo is looked at. */
export interface AskedPhoto {
  readonly frame: Frame;
  readonly gains: Gains | null;
  readonly view: View;
  readonly form: Form;
}

/** Holes or cracks of a zone, with what they were found on. */
export interface Counted {
  readonly width: number;
  readonly height: number;
  /** The patch as four bytes a pixel, to be drawn. */
  readonly rgba: Uint8ClampedArray<ArrayBuffer>;
  readonly areaCm2: number;
  readonly pits: readonly { readonly x: number; readonly y: number; readonly radius: number }[];
  readonly crackPixels: readonly number[];
  readonly crackDensity: number;
}

async function pixelsOf(blob: Blob, longest: number): Promise<Pixels> {
  const bitmap = await createImageBitmap(blob, { imageOrientation: 'from-image' });
  const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height));
  const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
  return { data: threeOfFour(data), width, height };
}

function threeOfFour(data: Uint8ClampedArray): Uint8Array {
  const out = new Uint8Array((data.length / 4) * 3);
  for (let i = 0, o = 0; i < data.length; i += 4) {
    out[o++] = data[i]!;
    out[o++] = data[i + 1]!;
    out[o++] = data[i + 2]!;
  }
  return out;
}

/** Looks at photos off the page's own thread. */
const face = {
  /**
   * Makes a photo ready to be sent: upright, no larger than is kept, as JPEG, with a first guess of where
   * the piece stands.
   *
   * @throws when the browser cannot read the picture
   */
  async take(file: Blob): Promise<{ blob: Blob; frame: Frame }> {
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
    const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    bitmap.close();
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
    return { blob, frame: guessFrame(await pixelsOf(blob, 480)) };
  },

  /** The colours of zones in a photo; zones on sides that its view does not show are left out. */
  async colours(
    photo: Blob,
    { frame, gains, view, form }: AskedPhoto,
    zones: readonly AskedZone[],
  ): Promise<{ id: string; found: ZoneColour }[]> {
    const crop = uprightCrop(await pixelsOf(photo, MEASURED), frame);
    const right = gains ? withGains(crop, gains) : crop;
    return zones.flatMap((zone) => {
      const patch = zonePatch(right, zone, view, form);
      return patch ? [{ id: zone.id, found: measureZone(patch) }] : [];
    });
  },

  /** What corrects the photo when a grey card lies at that point; null when none does. */
  async grey(photo: Blob, at: Point): Promise<Gains | null> {
    try {
      return greyGains(await pixelsOf(photo, MEASURED), at);
    } catch {
      return null;
    }
  },

  /** The colour at a point of a photo, taken over a twelfth of its width; shares of width and height, 0 to 1. */
  async spot(photo: Blob, at: Point): Promise<ZoneColour> {
    const whole = await pixelsOf(photo, MEASURED);
    const side = Math.max(8, Math.round(whole.width / 12));
    const within = (share: number, length: number) =>
      Math.round(Math.min(length - side, Math.max(0, share * length - side / 2)));
    const box = {
      left: within(at.x, whole.width),
      top: within(at.y, whole.height),
      width: side,
      height: side,
    };
    return measureZone(cutOut(whole, box));
  },

  /** Counts pits and cracks on a zone; the height of the piece gives the scale. */
  async count(photo: Blob, frame: Frame, zone: AskedZone, heightMm: number): Promise<Counted> {
    const crop = uprightCrop(await pixelsOf(photo, LONGEST), frame, 1400);
    const patch = cutOut(crop, zoneBox(crop, WHOLE, zone));
    const mm = heightMm / crop.height;
    const cracks = findCracks(patch, mm);
    const rgba = new Uint8ClampedArray(patch.width * patch.height * 4).fill(255);
    for (let i = 0, o = 0; i < patch.data.length; i += 3, o += 4) rgba.set(patch.data.subarray(i, i + 3), o);
    const counted: Counted = {
      width: patch.width,
      height: patch.height,
      rgba,
      areaCm2: (patch.width * patch.height * mm * mm) / 100,
      pits: findPits(patch, mm).map(({ x, y, radius }) => ({ x, y, radius })),
      crackPixels: cracks.pixels,
      crackDensity: cracks.density,
    };
    return transfer(counted, [rgba.buffer]);
  },
};
export type PhotoWorker = typeof face;

expose(face);
