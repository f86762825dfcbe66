/** What is known already under the letters typed: one press takes it. */
import styled from 'styled-components';

const List = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  min-height: 46px;
  button {
    padding: 8px 14px;
    font-size: 18px;
    border: 2px solid ${({ theme }) => theme.ink};
    border-radius: 6px;
    background: ${({ theme }) => theme.paper};
    cursor: pointer;
  }
  span {
    color: ${({ theme }) => theme.quiet};
  }
`;

interface Item {
  id: string;
  name: string;
  note: string;
}

export function Found({
  label,
  items,
  onTake,
}: {
  label: string;
  items: readonly Item[];
  onTake: (item: Item) => void;
}) {
  if (items.length === 0) return null;
  return (
    <List aria-label={label}>
      {items.slice(0, 8).map((item) => (
        <li key={item.id}>
          <button type="button" onClick={() => onTake(item)}>
            {item.name}
            {item.note && <span> {item.note}</span>}
          </button>
        </li>
      ))}
    </List>
  );
}
