import { LinkButton } from '@/ui/LinkButton';

/** What to do before the first piece can be written down. */
export function FirstThings({ bodies, glazes }: { bodies: number; glazes: number }) {
  return (
    <div style={{ display: 'flex', flexDirection: 'column', gap: 14, maxWidth: 460 }}>
      <h1>New piece</h1>
      <p>
        A piece is made of a clay and carries glazes. Add the ones in your studio first; it takes a minute.
      </p>
      {bodies === 0 && (
        <LinkButton variant="contained" href="/clays?add=1">
          Add the first clay
        </LinkButton>
      )}
      {glazes === 0 && (
        <LinkButton variant={bodies === 0 ? 'outlined' : 'contained'} href="/glazes?add=1">
          Add the first glaze
        </LinkButton>
      )}
    </div>
  );
}
