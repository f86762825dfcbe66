import { plugWords } from '../../../facts/assembly/plugWords';
import { seconds } from '../../../physics/joints/seconds';
import { changeStep } from '../changeStep';
import { stayingOpen } from '../openPlugs';
import { done, open } from '../step';

/** A plug is pushed home. */
export const mate = changeStep('mate', {
  state: ({ about, subject }, job) => {
    if (!job.leftIds.has(`mate:${subject}`)) return done();
    const stays = stayingOpen(about.mate, job);
    return stays
      ? done(stays.record.id)
      : open(Object.hasOwn(job.start.build.mates, about.mate) ? 'Pulled in this job, still open' : null);
  },
  words: ({ about }, { target }) => `Push plug ${plugWords(about.mate, target)} home until it clicks`,
  why: () => 'both ends were looked at',
  takesS: () => seconds.plug,
});
