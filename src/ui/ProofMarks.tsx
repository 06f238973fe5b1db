'use client';
import { counted } from '@/core/units';
/** A tally of twins: one stroke each, a broken stroke for one that disagrees. */
export function ProofMarks({
  proofs,
  agreeing,
  height = 14,
  most = 12,
  isSaidBeside = false,
}: {
  proofs: number;
  agreeing: number;
  height?: number;
  /** Strokes drawn at most; then the number is said beside them. */
  most?: number;
  /** Whether the number stands in words beside the strokes already. */
  isSaidBeside?: boolean;
}) {
  const shown = Math.min(proofs, most);
  const differing = proofs - agreeing;
  const broken = differing === 0 ? 0 : Math.max(1, Math.round((differing * shown) / proofs));
  const text = proofs === 0 ? 'not tried' : `${agreeing} of ${counted(proofs, 'piece')} agree`;
  const stroke = (x: number, isBroken: boolean) => `M${x} 1V${isBroken ? `5.5M${x} 8.5V13` : '13'}`;
  const strokes = Array.from({ length: shown }, (_, i) => stroke(i * 4.5 + 2, i >= shown - broken)).join('');
  return (
    <span style={{ display: 'inline-flex', alignItems: 'center', gap: 4 }} title={text}>
      <svg width={shown * 4.5} height={height} viewBox={`0 0 ${shown * 4.5} 14`} role="img" aria-label={text}>
        <path d={strokes} stroke="currentColor" strokeWidth={2} fill="none" />
      </svg>
      {proofs > most && !isSaidBeside && <span className="figures small">{proofs}</span>}
    </span>
  );
}
