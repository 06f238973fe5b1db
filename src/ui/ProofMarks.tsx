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
  return (
    <span style={{ display: 'inline-flex', alignItems: 'center', gap: 4 }} title={text}>
      <svg width={shown * 4.5} height={height} viewBox={`0 0 ${shown * 4.5} 14`} role="img" aria-label={text}>
        {Array.from({ length: shown }, (_, i) => (
          <path
            key={i}
            d={`M${i * 4.5 + 2} 1${i < shown - broken ? 'V13' : 'V5.500M' + (i * 4.5 + 2) + ' 8.500V13'}`}
            stroke="currentColor"
            strokeWidth={2}
            fill="none"
          />
        ))}
      </svg>
      {proofs > most && !isSaidBeside && <span className="figures small">{proofs}</span>}
    </span>
  );
}
