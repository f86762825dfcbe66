/** What it would mean if the wire were really there. */
import type { FoundElsewhere } from '@junctor/core';
import styled from 'styled-components';
import { severityWord } from '../../bench/frame/FindingsLine';

const Box = styled.section`
  text-align: left;
  font-size: 16px;
  line-height: 20px;
  display: grid;
  gap: 8px;
  h3 {
    font-size: 17px;
  }
`;

/** What it would mean if the wire really is where the ring is. */
export function IfFound({ found: { findings } }: { found: FoundElsewhere }) {
  const [worst] = findings;
  return (
    <Box aria-label="If it is there now">
      <h3>If it is there now</h3>
      {worst ? (
        <p>
          <strong>▲ {severityWord[worst.severity]}:</strong> {worst.message}
        </p>
      ) : (
        <p>No rule objects: the quad would work as before.</p>
      )}
      <p>Key 0 keeps it as found. Nothing is planned by that.</p>
    </Box>
  );
}
