/** What replacing a part takes: joints and plugs, partners, what is proved again, what another model changes. */
import type { Lost, ReplacementWork } from '@junctor/core';
import { lostWords } from '@junctor/core';
import { Words } from '../../../ui/layout';
import { Alarm } from '../../../ui/layout';

interface ReplacingProps {
  slot: string;
  work: ReplacementWork;
  /** What the rules say of the plan with another model. */
  differs: readonly string[];
  lost: readonly Lost[];
}

export function Replacing({ slot, work, differs, lost }: ReplacingProps) {
  const { joints, plugs, minutes, partners, touches } = work;
  return (
    <section aria-label="What it takes">
      <Words>
        {joints} joints to open and make again, {plugs} {plugs === 1 ? 'plug' : 'plugs'} to pull and push home, about{' '}
        {minutes} min at the bench.
      </Words>
      {partners.length > 0 && (
        <Words>
          Read with it: {partners.join(', ')}. What died with {slot} may have hurt them, and they would hurt the new
          one.
        </Words>
      )}
      <Words>
        {touches === null ? 'Touches' : `${touches} touches`} are asked after it, the main leads among them: the fewest
        that prove again what this can spoil.
      </Words>
      {[...lostWords(lost), ...differs].map((line) => (
        <Alarm key={line}>{line}</Alarm>
      ))}
    </section>
  );
}
