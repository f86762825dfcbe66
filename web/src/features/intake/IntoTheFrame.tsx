/** Does what is planned go into its frame: the margins that do not hold at worst, and how many do. */
import { verdictMark } from '../../bench/frame/verdictMark';
import type { PlannedLayout } from '../../bench/provider/useLayout';
import { Lines } from '../../ui/Sheet';

export function IntoTheFrame({ layout }: { layout: PlannedLayout }) {
  if (layout === null || layout === 'no frame')
    return (
      <Lines aria-label="Room">
        <li>{layout ? 'No frame is in the plan: not judged.' : 'Every place and every turn is being tried.'}</li>
      </Lines>
    );
  const { margins } = layout.planned;
  const close = margins.filter(({ verdict }) => verdict !== 'go');
  return (
    <Lines aria-label="Room">
      {close.map(({ kind, slots, what, verdict, says }) => (
        <li key={`${kind} ${slots.join(' ')} ${what}`}>
          <span>
            {verdictMark[verdict]} <strong>{verdict}</strong>: {says}
          </span>
        </li>
      ))}
      <li>
        <span>
          {verdictMark.go} <strong>go</strong>: {margins.length - close.length} of {margins.length} margins hold even at
          worst
        </span>
      </li>
    </Lines>
  );
}
