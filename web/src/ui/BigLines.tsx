/** A few lines to be read at arm's length. */
import styled from 'styled-components';

const List = styled.ul`
  padding-top: 14px;
  display: grid;
  gap: 10px;
  font-size: 20px;
  line-height: 1.3;
`;

export function BigLines({ label, lines }: { label: string; lines: readonly string[] }) {
  return (
    <List aria-label={label}>
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </List>
  );
}
