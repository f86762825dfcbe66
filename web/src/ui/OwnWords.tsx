/** A line for a person's own words, in the hand of a bench screen; Enter in it gives the main answer. */
import styled from 'styled-components';

const Label = styled.label`
  display: grid;
  gap: 6px;
  font-size: 18px;
  font-weight: 700;
  padding-top: 14px;
  input {
    padding: 10px 12px;
    font-size: 20px;
    border: 2px solid ${({ theme }) => theme.ink};
    border-radius: 6px;
    background: ${({ theme }) => theme.paper};
  }
`;

interface OwnWordsProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
  onEnter: () => void;
}

export function OwnWords({ label, value, onChange, onEnter }: OwnWordsProps) {
  return (
    <Label>
      {label}
      <input
        value={value}
        maxLength={300}
        onChange={({ target }) => onChange(target.value)}
        onKeyDown={(event) => event.key === 'Enter' && onEnter()}
      />
    </Label>
  );
}
