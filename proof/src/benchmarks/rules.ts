/**
 * The rules against blind mutations of twelve hand-wired builds; the truth is a powered DC solve that shares no code
 * with them.
 */
import { caught, falseAlarm, goodBuilds, tried } from '../trials/ruleTrial';
import type { Measurement } from './measurement';

/** Of exchanges between far pads every so manyth. */
const every = 40;

export async function rules(): Promise<Measurement[]> {
  const builds = goodBuilds();
  const all = builds.flatMap((good) => tried(good, every));
  const operators = [...new Set(all.map(({ operator }) => operator))];
  for (const operator of operators) {
    const own = all.filter((verdict) => verdict.operator === operator);
    const bad = own.filter(({ is }) => is !== 'fine');
    console.log(
      `# ${operator}: ${own.length} mutations, found ${bad.filter(caught).length}, missed ${bad.filter((verdict) => !caught(verdict)).length}, false ${own.filter((verdict) => falseAlarm(verdict)).length}`,
    );
  }
  for (const { of, operator, what, because } of all.filter((verdict) => verdict.is !== 'fine' && !caught(verdict)))
    console.log(`# missed: ${of}: ${operator}, ${what}: ${because}`);
  for (const one of all.filter((each) => falseAlarm(each)))
    console.log(`# false: ${one.of}: ${one.operator}, ${one.what}: ${falseAlarm(one)!.message}`);
  const share = (what: string, is: 'kill' | 'stop', least: number): Measurement => {
    const of = all.filter((verdict) => verdict.is === is);
    const percent = (100 * of.filter(caught).length) / of.length;
    return {
      what: `${what}, of ${of.length} mutations:`,
      value: percent.toFixed(2),
      unit: '%',
      bar: `>=${least}`,
      met: percent >= least,
    };
  };
  const count = (what: string, value: number, bar: string, met: boolean): Measurement => ({
    what,
    value: String(value),
    unit: '',
    bar,
    met,
  });
  return [
    count('hand-wired builds', builds.length, '>=12', builds.length >= 12),
    count('mutations', all.length, '>=2000', all.length >= 2000),
    share('kills found', 'kill', 100),
    share('stops found', 'stop', 98),
    count(
      'kills and stops on wirings that work',
      all.filter((verdict) => falseAlarm(verdict)).length,
      '0',
      !all.some((verdict) => falseAlarm(verdict)),
    ),
  ];
}
