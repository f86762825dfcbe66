/** The heap in the left hand: a field that finds parts, under it what lies there already. */
import type { Assembly, Range, Suggestion } from '@junctor/core';
import { costWords } from '@junctor/core';
import { Find } from '../../../ui/Find';
import { List } from '../PlannerOutcome';
import type { PartFound } from './findParts';
import type { HeapLine } from './heapLines';
import { slotsNamed } from './heapLines';

interface HeapHandProps {
  lines: readonly HeapLine[];
  current: HeapLine | null;
  /** Parts that clash. */
  clash: readonly string[];
  suggested: readonly Suggestion[];
  /** As it would be wired. */
  assembly: Assembly;
  cells: Range | null;
  /** What is built and is not on the heap any more. */
  goes: readonly string[];
  finding: {
    label: string;
    typed: string;
    found: readonly PartFound[];
    isLooking: boolean;
    onType: (typed: string) => void;
    onTake: (id: string) => void;
    isOpen: boolean;
  };
}

/** Lines that there is room for, without the field and with it. */
const [room, roomUnder] = [12, 8];

export function HeapHand({ lines, current, clash, suggested, assembly, cells, goes, finding }: HeapHandProps) {
  const { label, typed, found, isLooking, onType, onTake, isOpen } = finding;
  const at = lines.findIndex((line) => line === current);
  const isTight = lines.length + 2 * suggested.length > room;
  const shown = isOpen ? roomUnder : room - suggested.length;
  const from = Math.max(0, isOpen ? lines.length - shown : Math.min(at - shown + 3, lines.length - shown));
  return (
    <>
      {isOpen && (
        <Find
          label={label}
          listLabel="Found"
          items={found}
          typed={typed}
          onType={onType}
          onTake={onTake}
          empty={typed.trim() === '' ? null : nothingWords(isLooking)}
          autoFocus
        />
      )}
      {typed.trim() === '' && (
        <List aria-label="On the heap">
          {lines.slice(from, from + shown).map((line) => (
            <li key={line.slots[0]} aria-current={line === current}>
              <span aria-hidden>{line === current ? '▸' : ''}</span>
              <span>
                {line.slots.length > 1 ? `${line.slots.length} x ` : ''}
                {line.model.name}{' '}
                <span className="quiet">
                  {slotsNamed(line.slots)}, {line.slots.length * line.model.massG} g{line.isInHand ? ', in hand' : ''}
                </span>
                {line.slots.some((slot) => clash.includes(slot)) ? <strong> ▲ clashes</strong> : ''}
              </span>
            </li>
          ))}
          {(isOpen ? [] : suggested).map(({ model, slots, because }) => (
            <li key={slots[0]}>
              <span aria-hidden>+</span>
              <span className={isTight ? 'line' : undefined}>
                {slots.length > 1 ? `${slots.length} x ` : ''}
                {model.name}{' '}
                <span className="quiet">
                  {costWords({ model, slots }, assembly, cells).join(', ')}: {because}
                </span>
              </span>
            </li>
          ))}
          {goes.length > 0 && (
            <li>
              <span aria-hidden>╱</span>
              <span>
                {goes.join(', ')} <span className="quiet">comes off the quad</span>
              </span>
            </li>
          )}
        </List>
      )}
    </>
  );
}

function nothingWords(isLooking: boolean): string {
  return isLooking ? 'Looking' : 'Nothing is called like that. Esc, then N draws it up from its labels.';
}
