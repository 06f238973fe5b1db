/** A link that never was, has run out, or was ended: which of these is not told. */
export default function NotFound() {
  return (
    <main style={{ maxWidth: 460, margin: '12vh auto', padding: 24 }}>
      <h1>This link does not work</h1>
      <p>It has expired, was ended, or was not copied in full. Ask the studio for a new one.</p>
    </main>
  );
}
