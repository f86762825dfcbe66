/**
 * The permit follows the truth: histories with a common beginning and a forged end, on aircraft that are good or not.
 * No permit where the truth shows at a touch of the list what no good aircraft shows; a permit where nothing that was
 * done matters; and none is locked out for ever.
 */
import type { ListedTouch } from '@junctor/core';
import { none, random } from '@junctor/proof';
import type { Measurement } from '@junctor/proof';
import { backTo, firstLead, noteBeginning, openJob, startTestShop } from '@junctor/server/testing';
import type { Beginning, TestShop, Worked } from '@junctor/server/testing';
import { forge } from './forging';
import type { Truth } from './truth';
import { badTruths, goodTruths, shownBy } from './truth';
import { Tablet, workOn } from './worker';

interface Case {
  tablet: Tablet;
  truth: Truth;
  beginning: Beginning;
  /** Touches that show it; empty: nothing has to be proved absent. */
  shows: readonly ListedTouch[];
}

const rounds = 6;

export async function gate(long: boolean): Promise<Measurement[]> {
  const [histories, truths] = long ? [2000, 20] : [200, 8];
  const shop = await startTestShop();
  try {
    const client = await firstLead(shop.url);
    const first: Worked = { shop, client, ...(await openJob(client)) };
    const tablet = await Tablet.of(first);
    const { state } = await tablet.now();
    const listed = state.touches.touches;
    const { catalogue, meter } = tablet.bench;
    const given = { catalogue, meter, good: state.target };
    const good = goodTruths(given);
    const cases = [await begun(tablet, good[0], [])];
    for (const truth of badTruths(given, listed, truths))
      cases.push(
        await begun(await Tablet.of({ ...first, ...(await openJob(client)) }), truth, shownBy(truth, good, listed)),
      );
    return report(await run(shop, cases, histories), cases, histories);
  } finally {
    await shop.stop();
  }
}

/** A job worked on honestly up to the permit, on an aircraft as it truly is. */
async function begun(tablet: Tablet, truth: Truth, shows: readonly ListedTouch[]): Promise<Case> {
  await workOn(tablet, truth, 1);
  await tablet.now();
  tablet.begin();
  return { tablet, truth, shows, beginning: await noteBeginning(tablet.worked.shop, tablet.worked) };
}

interface Outcome {
  asked: number;
  given: number;
  wrong: string[];
  immaterial: number;
  refused: string[];
  ended: number;
  locked: string[];
}

async function run(shop: TestShop, cases: readonly Case[], histories: number): Promise<Outcome> {
  const outcome: Outcome = { asked: 0, given: 0, wrong: [], immaterial: 0, refused: [], ended: 0, locked: [] };
  for (let index = 0; index < histories; index++) {
    const chance = random(index + 1);
    // Every third on the good aircraft, and there every second with nothing that matters.
    const one = index % 3 === 0 ? cases[0]! : cases[1 + (index % (cases.length - 1))]!;
    await backTo(shop, one.beginning);
    one.tablet.back();
    if (index % 6 === 0) await immaterial(one, chance, outcome);
    else await forged(one, { chance, index }, outcome);
  }
  return outcome;
}

async function forged(
  { tablet, truth, shows }: Case,
  { chance, index }: { chance: () => number; index: number },
  outcome: Outcome,
): Promise<void> {
  const done: string[] = [];
  const most = 4 + Math.floor(chance() * 8);
  for (let count = 0; count < most; count++) {
    done.push(await forge({ tablet, now: await tablet.now(), truth, chance }));
    if (chance() > 0.4) continue;
    if (chance() < 0.3) await workOn(tablet, truth, 1);
    outcome.asked += 1;
    if (!(await tablet.isPermitted())) continue;
    outcome.given += 1;
    if (shows.length > 0) outcome.wrong.push(`history ${index + 1}, ${truth.name}: ${done.join('; ')}`);
  }
  if (shows.length > 0) return;
  await workOn(tablet, truth, rounds);
  outcome.ended += 1;
  if (await tablet.isPermitted()) return;
  const { state } = await tablet.now();
  outcome.locked.push(`history ${index + 1}: ${done.join('; ')}; then: ${state.objections.slice(0, 3).join(' | ')}`);
}

/** Another colour of a wire, something weighed, something said: the permit is there all the same. */
async function immaterial({ tablet }: Case, chance: () => number, outcome: Outcome): Promise<void> {
  const { bench, worked } = tablet;
  const now = await tablet.now();
  const wires = Object.values(bench.plan.target.wires);
  const wire = wires[Math.floor(chance() * wires.length)]!;
  const changes = [{ path: `wires/${wire.id}`, before: wire, after: { ...wire, colour: 'violet' } }];
  const path = `/jobs/${worked.jobId}/plan-changes`;
  const reply = await worked.client.post(path, { version: bench.plan.version, changes });
  outcome.immaterial += 1;
  if (reply.status !== 200 || !(await tablet.isPermitted()))
    outcome.refused.push(
      `${wire.id} violet: ${now.state.objections.join('; ')} ${JSON.stringify(reply.body).slice(0, 200)}`,
    );
}

function report(outcome: Outcome, cases: readonly Case[], histories: number): Measurement[] {
  const { wrong, refused, locked, asked, given, immaterial: changed, ended } = outcome;
  for (const line of [...wrong, ...refused, ...locked].slice(0, 20)) console.log(`# ${line}`);
  const shown = cases.filter(({ shows }) => shows.length > 0).length;
  return [
    none(
      `permits against the truth, ${asked} asked and ${given} given in ${histories} histories, ${shown} things wrong:`,
      wrong.length,
    ),
    none(`permits refused of ${changed} after a change that does not matter:`, refused.length),
    none(`good aircraft locked out of ${ended} after everything was done again:`, locked.length),
  ];
}
