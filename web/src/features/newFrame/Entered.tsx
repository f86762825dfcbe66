/** What was entered so far, line by line; the last is taken out by key. */
import { KeyButton } from '../../ui/KeyButton';
import { Lines } from '../../ui/Sheet';
import { Small } from '../../ui/Small';

interface EnteredProps {
  label: string;
  lines: readonly { name: string; says: string }[];
  takeOut: (name: string) => void;
}

export function Entered({ label, lines, takeOut }: EnteredProps) {
  return (
    <Lines $columns="110px 1fr 140px" aria-label={label}>
      {lines.map(({ name, says }, index) => (
        <li key={name}>
          <strong>{name}</strong>
          <span>{says}</span>
          {index === lines.length - 1 ? (
            <KeyButton keyed="t" label="Take out" act={() => takeOut(name)} />
          ) : (
            <Small type="button" onClick={() => takeOut(name)}>
              Take out
            </Small>
          )}
        </li>
      ))}
    </Lines>
  );
}
