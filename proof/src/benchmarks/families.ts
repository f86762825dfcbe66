/** Families of wrong wiring on hand-wired, shipped and planned builds: kills found, the rest at the right gravity. */
import type { Finding } from '@junctor/core';
import { assemble, judge, planWiring } from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';
import { families } from '../generators/families/index';
import { generate } from '../generators/generate';
import { Spoiled } from '../generators/spoiled';
import type { GoodBuild } from '../trials/ruleTrial';
import { catalogue, goodBuilds } from '../trials/ruleTrial';
import type { Measurement } from './measurement';
import { none } from './measurement';

const planned = 8;
const firstSeed = 5000;
const leastFamilies = 40;
const rank: Readonly<Record<Finding['severity'], number>> = { kill: 3, stop: 2, warn: 1 };

export async function wrongFamilies(): Promise<Measurement[]> {
  const builds = [...goodBuilds(), ...(await plannedBuilds())];
  const said = ({ build, links, cells }: GoodBuild, by = catalogue) => judge(assemble(build, by), links, cells);
  const alarms = builds.filter((good) => said(good).some(({ severity }) => severity !== 'warn'));
  let [kills, killsMissed, rest, underRated, overRated, tried] = [0, 0, 0, 0, 0, 0];
  const without: string[] = [];
  for (const { says, is, orStop, make } of families) {
    let own = 0;
    for (const good of builds) {
      const before = new Set(said(good).map(({ key, severity }) => `${severity} ${key}`));
      for (const one of make(new Spoiled(good.build, catalogue), good.cells)) {
        own += 1;
        const wrong = 'build' in one ? one : { build: one, catalogue };
        const mutant = { ...good, build: wrong.build, cells: ('cells' in wrong && wrong.cells) || good.cells };
        const fresh = said(mutant, wrong.catalogue).filter(({ key, severity }) => !before.has(`${severity} ${key}`));
        const worst = Math.max(0, ...fresh.map(({ severity }) => rank[severity]));
        const missed = worst < rank[is];
        const over = is === 'warn' && worst > (orStop ? rank.stop : rank.warn);
        if (is === 'kill') [kills, killsMissed] = [kills + 1, killsMissed + Number(missed)];
        else [rest, underRated, overRated] = [rest + 1, underRated + Number(missed), overRated + Number(over)];
        if (missed || over)
          console.log(
            `# ${missed ? 'missed' : 'too grave'}: ${is}: ${says}: ${good.name}: ${fresh.map(({ severity, rule }) => `${severity} ${rule}`).join(', ') || 'nothing'}`,
          );
      }
    }
    tried += own;
    if (own === 0) without.push(says);
  }
  const right = (100 * (rest - underRated - overRated)) / rest;
  return [
    {
      what: 'families of wrong wiring that some build has room for:',
      value: String(families.length - without.length),
      unit: without.join('; '),
      bar: `>=${leastFamilies}`,
      met: families.length - without.length >= leastFamilies,
    },
    none(`kills missed, of ${kills} of ${tried} wrong wirings on ${builds.length} builds:`, killsMissed),
    {
      what: `stops and warnings at the right gravity, of ${rest}:`,
      value: right.toFixed(1),
      unit: '%',
      bar: '>=98',
      met: right >= 98,
    },
    none('kills and stops on the good builds:', alarms.length),
  ];
}

async function plannedBuilds(): Promise<GoodBuild[]> {
  const solve = await loadSolver();
  const found: GoodBuild[] = [];
  for (let seed = firstSeed; found.length < planned; seed++) {
    const { slots, cells, wishes } = generate(seed, catalogue, 'roomy');
    const plan = planWiring({ slots, catalogue, cells, wishes, pinned: [] }, solve);
    if (plan.is === 'planned') found.push({ name: `planned ${seed}`, build: plan.target, links: plan.links, cells });
  }
  return found;
}
