/** Good aircraft, by a meter apart from the core, through lists that ship: none of them is stopped. */
import type { Meter } from '@junctor/core';
import { assemble, compile, expectIn, judgeReading } from '@junctor/core';
import { basisOf, shippedList, shippedMeters, shippedTemplate } from '@junctor/catalogue';
import { describe, expect, it } from 'vitest';
import { spreadBy, unshownBy, wide } from '../generators/otherInsides';
import { TrueMeter } from '../oracles/trueMeter';
import { catalogue } from '../trials/ruleTrial';

const meter: Meter = { id: 'meter', ...shippedMeters[0]! };
/** None that the benchmark draws. */
const seeds = Array.from({ length: 100 }, (_, index) => 20_001 + index);
const proven = { heldMs: null, by: 'meter', wrong: 0, anchors: { black: 'tone', red: 'tone' } } as const;

describe.each(['quad-serial-6s', 'quad-culvert-4s'])('100 good aircraft of %s', (id) => {
  const build = shippedTemplate(id).plan.target;
  const { touches } = shippedList(basisOf(build, meter))!;
  const circuit = compile(assemble(build, catalogue));
  const expected = touches.map(({ touch }) => expectIn(circuit, touch, { meter }));
  const stoppedBy = (truth: TrueMeter) =>
    touches.flatMap(({ touch }, index) =>
      judgeReading(expected[index]!, { ...proven, ...truth.answer(touch) }) === 'stop' ? [touch] : [],
    );

  it('pass with values moved by their spread', () => {
    const stopped = seeds.flatMap((seed) =>
      stoppedBy(new TrueMeter({ build, catalogue, meter, spread: spreadBy(seed) })),
    );
    expect(stopped).toEqual([]);
  }, 120_000);

  it('pass with other insides than their models', () => {
    const stopped = seeds.flatMap((seed) =>
      stoppedBy(
        new TrueMeter({
          build,
          catalogue,
          meter,
          spread: spreadBy(seed, wide),
          unshown: unshownBy(seed, build, catalogue),
        }),
      ),
    );
    expect(stopped).toEqual([]);
  }, 120_000);
});
