/** The rules against blind mutations; ./measure rules does it for all twelve builds. */
import { judge, assemble } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { catalogue, caught, falseAlarm, goodBuilds, tried } from './ruleTrial';
import { truth } from '../oracles/truth';

describe('the rules against blind mutations', () => {
  const builds = goodBuilds();

  it('have nothing above a warning against what is wired right, and the powered solve agrees', () => {
    for (const good of builds) {
      expect([good.name, truth({ ...good, catalogue }, good.build)]).toEqual([good.name, { is: 'fine', because: '' }]);
      expect([
        good.name,
        judge(assemble(good.build, catalogue), good.links, good.cells).filter(({ severity }) => severity !== 'warn'),
      ]).toEqual([good.name, []]);
    }
    expect(builds).toHaveLength(12);
  });

  it.each(builds.filter(({ build }) => Object.keys(build.slots).length < 14).slice(0, 4))(
    'see what is done to: $name',
    (good) => {
      const all = tried(good, 200);
      const told = (list: typeof all) => list.map(({ operator, what, because }) => `${operator} ${what}: ${because}`);
      expect(all.filter(({ is }) => is === 'kill').length).toBeGreaterThan(10);
      expect(all.filter(({ is }) => is === 'stop').length).toBeGreaterThan(40);
      expect(told(all.filter((verdict) => verdict.is === 'kill' && !caught(verdict)))).toEqual([]);
      expect(told(all.filter((verdict) => verdict.is === 'stop' && !caught(verdict)))).toEqual([]);
      expect(told(all.filter((verdict) => falseAlarm(verdict)))).toEqual([]);
    },
  );
});
