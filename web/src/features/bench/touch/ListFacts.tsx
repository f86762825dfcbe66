/** Before the first touch: how many there are, how long they take, what they prove of what kills and of what stops. */
import { isEarlier, minutesFor, whatListProves } from '@junctor/core';
import type { Bench } from '../../../bench/provider/bench';
import { Fact } from '../../../ui/Frame';

export function ListFacts({ bench: { state, listing } }: { bench: Bench }) {
  const { list, touches, ruledOutEarlier } = state.touches;
  if (!list)
    return (
      <Fact>
        <dt>then the touches</dt>
        <dd className="long">being worked out{listing ? `, ${Math.round(100 * listing.share)} %` : ''}</dd>
      </Fact>
    );
  const earlier = [...list.faults.keys()].filter((place) => isEarlier(list.faults[place]!));
  return (
    <>
      <Fact>
        <dt>then</dt>
        <dd className="long">
          {touches.length} touches, about {minutesFor(list, touches)} min
        </dd>
      </Fact>
      {whatListProves(list)
        .filter(({ harm }) => harm !== 'warn')
        .map(({ harm, all, by, twice }) => (
          <Fact key={harm}>
            <dt>shown of what {harm === 'kill' ? 'kills' : 'stops'}</dt>
            <dd>
              {by.list} of {all}
              {harm === 'kill' ? `, ${twice} by two` : ''}
            </dd>
          </Fact>
        ))}
      {earlier.length > 0 && (
        <Fact>
          <dt>only on a loose part or with a plug apart</dt>
          <dd>
            {earlier.filter((place) => ruledOutEarlier.has(place)).length} of {earlier.length} ruled out
          </dd>
        </Fact>
      )}
    </>
  );
}
