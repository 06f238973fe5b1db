import { LinkButton } from '@/ui/LinkButton';

export default function NotFound() {
  return (
    <div style={{ maxWidth: 460, margin: '12vh auto', padding: 24, display: 'grid', gap: 16 }}>
      <h1>Page not found</h1>
      <p>
        There is no page at this address. Search for a piece by the number under its foot, or for an entry by
        its glazes.
      </p>
      <LinkButton variant="contained" href="/">
        Go to Today
      </LinkButton>
    </div>
  );
}
