import { formShape, type Form, type Side, type View } from '../vocabulary';
import type { Pixels } from './frame';
import { cutOut, WHOLE } from './upright';
import { zoneBox, type ZonePlace } from './region';

/** What a photo of a form shows as long as nobody has said: flat ware from above, all else from outside. */
export function guessView(form: Form): View {
  return formShape(form).plan ? 'from above' : 'outside';
}

/**
 * The sides of a piece that a view shows. From above one looks into a vessel and onto a plate, whose upper face is its
 * inside; the underside of a vessel is bare where it stands. An area is cut by nobody.
 */
export function sidesIn(view: View, form: Form): readonly Side[] {
  const isPlan = formShape(form).plan;
  if (view === 'inside' || view === 'from above') return ['inside'];
  if (view === 'underside') return isPlan ? ['outside'] : [];
  return view === 'outside' && !isPlan ? ['outside', 'left', 'right'] : [];
}

/** Whether zones lie in a view as rings about the middle. */
export function isRound(view: View): boolean {
  return view === 'inside' || view === 'from above' || view === 'underside';
}

/**
 * Where the ring of a zone lies when one looks straight onto or into a piece, as shares of the radius at its rim: on a
 * plate by its band, in a vessel by the width of the wall at those heights, its floor included at the foot.
 *
 * @example ringOf('plate', { side: 'inside', from: 0.5, to: 1 }) // { from: 0.5, to: 1 }
 */
export function ringOf(form: Form, { from, to }: ZonePlace): { readonly from: number; readonly to: number } {
  const { plan, halfWidth } = formShape(form);
  if (plan) return { from, to };
  const at = (height: number) => Math.min(1, halfWidth(height) / halfWidth(1));
  return { from: from === 0 ? 0 : at(from), to: at(to) };
}

/** A ring rolled out, px. */
const ROLLED = { width: 160, height: 120 };
/** How much of a ring is left out at its edges, where neighbours bleed into it. */
const INSET = 0.1;

/**
 * A ring about the middle of a picture, rolled out to a patch: its inner edge at the foot, once around from left to
 * right. The piece fills the picture; an ellipse is a disc seen aslant.
 */
export function ringPatch({ data, width, height }: Pixels, ring: { from: number; to: number }): Pixels {
  const out = new Uint8Array(ROLLED.width * ROLLED.height * 3);
  const wide = ring.to - ring.from;
  for (let y = 0, o = 0; y < ROLLED.height; y++) {
    const share = 1 - (y + 0.5) / ROLLED.height;
    const radius = ring.from + wide * (INSET + (1 - 2 * INSET) * share);
    for (let x = 0; x < ROLLED.width; x++, o += 3) {
      const angle = (2 * Math.PI * (x + 0.5)) / ROLLED.width;
      const px = Math.floor((width / 2) * (1 + radius * Math.cos(angle)));
      const py = Math.floor((height / 2) * (1 + radius * Math.sin(angle)));
      const i = (Math.min(height - 1, Math.max(0, py)) * width + Math.min(width - 1, Math.max(0, px))) * 3;
      out.set(data.subarray(i, i + 3), o);
    }
  }
  return { data: out, ...ROLLED };
}

/**
 * The patch of a zone in the upright crop of a photo.
 *
 * @returns null when the view does not show its side
 */
export function zonePatch(crop: Pixels, zone: ZonePlace, view: View, form: Form): Pixels | null {
  if (!sidesIn(view, form).includes(zone.side)) return null;
  return isRound(view) ? ringPatch(crop, ringOf(form, zone)) : cutOut(crop, zoneBox(crop, WHOLE, zone));
}
