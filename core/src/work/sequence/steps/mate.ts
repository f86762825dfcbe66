import { plugWords } from '../../../facts/assembly/plugWords';
import { seconds } from '../../../physics/joints/seconds';
import { changeStep } from '../changeStep';
import { continuityPlace, continuityTurns } from '../continuityPlace';
import { stayingOpen } from '../openPlugs';
import { done, open } from '../step';

/** A plug is pushed home. */
export const mate = changeStep('mate', {
  /** The one that is left apart for some touches goes home after them. */
  place: ({ about, place }, { touches: { apart } }) =>
    apart?.mate === about.mate ? continuityPlace(continuityTurns.home) : place,
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
