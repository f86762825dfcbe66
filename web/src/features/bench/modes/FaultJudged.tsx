/** What visible damage means, said while the fault is being written. */
import type { DamageJudged } from '@junctor/core';
import { Words } from '../../../ui/layout';

export function Judged({ replace, suspect, because, first, joints, minutes }: DamageJudged) {
  return (
    <Words role="status">
      <strong>Replace {replace.join(' and ')}:</strong> {because}.{' '}
      {suspect.length > 0 ? `Read ${suspect.join(', ')} as well. ` : ''}First: {first}. {joints} joints, about {minutes}{' '}
      min at the bench; prices of parts are not kept here.
    </Words>
  );
}
