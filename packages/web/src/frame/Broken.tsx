/** The page failed: said in words, with a way on; what was saved is safe on the server. */
export function Broken() {
  return (
    <main className="page stack">
      <h1>This page failed</h1>
      <p>
        Everything you saved is safe with the shop’s server. Open it again; if it fails again, tell
        whoever keeps this program what you were doing.
      </p>
      <p>
        <a href="/">Back to Today</a>
      </p>
    </main>
  );
}
