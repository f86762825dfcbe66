/** A smaller button that shows its key and is pressed by it, while nobody types. */
import { KeyCap } from './Plate';
import { keyName } from './Answers';
import { Small } from './Small';
import { useKeys } from './useKeys';

interface KeyButtonProps {
  keyed: string;
  label: string;
  act: () => void;
}

export function KeyButton({ keyed, label, act }: KeyButtonProps) {
  useKeys([{ key: keyed, act }]);
  return (
    <Small type="button" onClick={act} aria-keyshortcuts={keyed}>
      <KeyCap aria-hidden>{keyName(keyed)}</KeyCap> {label}
    </Small>
  );
}
