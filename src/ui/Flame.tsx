'use client';
/** The atmosphere: a flame drawn open (oxidation), half (neutral) or filled (reduction), with its word. */
export function Flame({ atmosphere, word = true }: { atmosphere: string; word?: boolean }) {
  const outline = 'M8 1C9 5 13 7 13 11.500A5 5 0 0 1 3 11.500C3 9 5 8 5 5C6.500 6 7 7 7 8C8 6 8.500 4 8 1Z';
  return (
    <span style={{ display: 'inline-flex', alignItems: 'baseline', gap: 4, whiteSpace: 'nowrap' }}>
      <svg
        width={13}
        height={15}
        style={{ transform: 'translateY(2px)' }}
        viewBox="0 0 16 18"
        {...(word ? { 'aria-hidden': true } : { role: 'img', 'aria-label': atmosphere })}
      >
        {atmosphere !== 'oxidation' && (
          <path
            d={
              atmosphere === 'reduction'
                ? outline
                : 'M8 1V16.500A5 5 0 0 1 3 11.500C3 9 5 8 5 5C6.500 6 7 7 7 8C8 6 8.500 4 8 1Z'
            }
            fill="currentColor"
          />
        )}
        <path d={outline} fill="none" stroke="currentColor" strokeWidth={1.4} />
      </svg>
      {word && atmosphere}
    </span>
  );
}
