/** A link that never was, has run out, or was ended: which of these is not told. */
export default function NotFound() {
  return (
    <main style={{ maxWidth: 460, margin: '12vh auto', padding: 24 }}>
      <h1>This link shows nothing</h1>
      <p>It has run out, was ended, or was not copied whole. Ask the studio for another.</p>
    </main>
  );
}
