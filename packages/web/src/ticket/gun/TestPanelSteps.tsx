/** How the set-up is found on a test panel, for whoever wants it step by step. */
const TEST_PANEL = [
  'The real mix, not reducer: reducer shows another pattern. First shot onto masking paper, to purge the cleaner.',
  'Pull the trigger to air and set the pressure, flowing.',
  'Needle shut. Trigger held, open half a turn at a time while you spray passes at your distance.',
  'Stop where the film lies wet without drifting, and count the turns from closed.',
  'One short shot on paper at the same distance: an even oval. Anything else: touch it under “It looks …”.',
];

export function TestPanelSteps() {
  return (
    <details className="card">
      <summary style={{ cursor: 'pointer', fontWeight: 600, minHeight: 32 }}>
        Find it on a test panel, step by step
      </summary>
      <ol style={{ margin: '0.5rem 0 0', paddingLeft: '1.3rem', lineHeight: 1.6 }}>
        {TEST_PANEL.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ol>
    </details>
  );
}
