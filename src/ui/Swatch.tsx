'use client';
/** A square-cornered patch of a fired zone, cut from its photo; its flat colour until there is one. */
export function Swatch({
  hash,
  colour,
  width,
  height,
  alt = '',
}: {
  hash: string | null;
  colour: string | null;
  width: number;
  height: number;
  alt?: string;
}) {
  const style = {
    width,
    height,
    flex: 'none',
    background: colour ?? 'var(--n8)',
    display: 'block',
    objectFit: 'cover' as const,
  };
  if (!hash) return <span style={style} />;
  return (
    <img
      src={`/api/v1/photos/${hash}?width=${width > 160 ? 320 : 'full'}`}
      alt={alt}
      width={width}
      height={height}
      style={style}
      loading="lazy"
      decoding="async"
    />
  );
}
