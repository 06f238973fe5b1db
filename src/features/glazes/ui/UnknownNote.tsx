import { figures } from '@/core/units';
import type { UnknownPart } from '@/core/chemistry';

/** How much of a recipe is unknown, beside the figures that are calculated without it; nothing when all is known. */
export function UnknownNote({ unknown }: { unknown: UnknownPart }) {
  if (unknown.materials.length === 0) return null;
  return (
    <p className="heat" role="note">
      {figures(unknown.percent, 1)} % of the dry batch is unknown ({unknown.materials.join(', ')}): this is
      calculated from the rest.
    </p>
  );
}
