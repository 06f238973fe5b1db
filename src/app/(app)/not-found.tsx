import { LinkButton } from '@/ui/LinkButton';

export default function NotFound() {
  return (
    <div style={{ maxWidth: 460, margin: '12vh auto', padding: 24, display: 'grid', gap: 16 }}>
      <h1>Not there</h1>
      <p>
        There is nothing under this address. A piece is found by the number under its foot; an entry by its
        glazes.
      </p>
      <LinkButton variant="contained" href="/">
        Go to Today
      </LinkButton>
    </div>
  );
}
