/** What something can mean, a line each. */
import styled from 'styled-components';

const List = styled.ul`
  padding-top: 14px;
  display: grid;
  gap: 10px;
  font-size: 20px;
  line-height: 1.3;
`;

export function Meaning({ lines }: { lines: readonly string[] }) {
  return (
    <List aria-label="What that can mean">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </List>
  );
}
