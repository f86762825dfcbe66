/** What it would mean if the wire were really there. */
import type { FoundElsewhere } from '@junctor/core';
import { severityWord } from '../../bench/frame/FindingsLine';

/** What it would mean if the wire really is where the ring is. */
export function IfFound({ found: { findings } }: { found: FoundElsewhere }) {
  const [worst] = findings;
  return (
    <section
      aria-label="If it is there now"
      style={{ textAlign: 'left', fontSize: 16, lineHeight: '20px', display: 'grid', gap: 8 }}
    >
      <h3 style={{ fontSize: 17 }}>If it is there now</h3>
      {worst ? (
        <p>
          <strong>▲ {severityWord[worst.severity]}:</strong> {worst.message}
        </p>
      ) : (
        <p>No rule objects: the quad would work as before.</p>
      )}
      <p>Key 0 keeps it as found. Nothing is planned by that.</p>
    </section>
  );
}
