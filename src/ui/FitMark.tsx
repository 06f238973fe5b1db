/** The mark of one tile in a drawing of fit: a small cracked star, or a ring that is whole so far. Drawn about 0, 0. */
export function FitMark({ crazed, bold = false }: { crazed: boolean; bold?: boolean }) {
  return crazed ? (
    <path d="M-5 0H5M0-5V5M-3.5-3.5l7 7" fill="none" stroke="var(--heat)" strokeWidth={bold ? 2.4 : 1.1} />
  ) : (
    <circle r={4.5} fill="none" stroke="var(--good)" strokeWidth={bold ? 2.8 : 1.1} />
  );
}

/** What the two marks mean. */
export function FitMarkLegend() {
  return [true, false].map((crazed) => (
    <span key={String(crazed)}>
      <svg width={14} height={14} viewBox="-7 -7 14 14" style={{ verticalAlign: -2 }} aria-hidden>
        <FitMark crazed={crazed} bold />
      </svg>{' '}
      {crazed ? 'crazed' : 'sound so far'}
    </span>
  ));
}
