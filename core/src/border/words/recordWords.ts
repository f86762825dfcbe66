/** A record in a technician's words. */
import type { Assembly } from '../../facts/assembly/assembly';
import { landedOn } from '../../facts/assembly/build';
import { jointWords, siteWords, slotWords, terminalWords, wireWords } from '../../facts/assembly/itemWords';
import type { QuadRecord } from '../../facts/log/records';
import { isAct } from '../../facts/log/records';
import { jointName } from '../../facts/terms/names';
import { passesWords, toneWords } from './readingWords';

export function recordWords({ body }: QuadRecord, now: Assembly): string {
  return isAct(body) ? actWords(body, now) : noteWords(body, now);
}

function actWords(body: Extract<QuadRecord['body'], { do: string }>, now: Assembly): string {
  switch (body.do) {
    case 'fit':
      return `${slotWords(body.slot, now)} put in place`;
    case 'take off':
      return `${slotWords(body.slot, now)} taken off, to ${body.to}`;
    case 'land': {
      const wire = now.build.wires[body.wire];
      const at = landedOn(body.as);
      if (!at) return `${body.wire} put into its housing`;
      return `${wire ? wireWords(wire, now) : body.wire} soldered to ${terminalWords(at, now)}`;
    }
    case 'reheat':
      return `joint reworked: ${jointWords(jointName(body.wire, body.end), now)}`;
    case 'free': {
      const wire = now.build.wires[body.wire];
      return `${wire ? wireWords(wire, now) : body.wire} taken off its pad`;
    }
    case 'drop wire':
      return `wire ${body.wire} taken out`;
    case 'house':
    case 'unhouse':
      return `housing ${body.do === 'house' ? body.housing.id : body.housing}`;
    case 'mate':
      return `plug ${body.id} pushed home`;
    case 'unmate':
      return `plug ${body.id} pulled`;
    case 'hide':
    case 'bare':
      return `${body.refs.length} terminals ${body.do === 'hide' ? `covered by ${body.by}` : 'bare again'}`;
    case 'contact':
      return `contact between ${terminalWords(body.a, now)} and ${terminalWords(body.b, now)}`;
  }
}

function noteWords(body: Exclude<QuadRecord['body'], { do: string }>, now: Assembly): string {
  switch (body.saw) {
    case 'reading': {
      const { touch, heard, expected, verdict } = body.reading;
      const said = heard.length ? toneWords(heard.length) : `${heard.value} ${heard.unit}`;
      const wanted = passesWords(expected.passes);
      return `black ${terminalWords(touch.black, now)}, red ${terminalWords(touch.red, now)}: ${said}; expected ${wanted}: ${verdict}`;
    }
    case 'look':
      return `looked at ${jointWords(body.of, now)}: ${body.grade}${body.defects.length > 0 ? `, ${body.defects.join(', ')}` : ''}`;
    case 'meter proof':
      return `meter proved: apart ${body.tipsApart === 'none' ? 'silent' : 'sounds'}, together ${body.tipsTogether === 'none' ? 'silent' : 'sounds'}; main leads ${body.restV} V`;
    case 'pack':
      return `pack measured: ${body.volts} V, polarity ${body.polarity}`;
    case 'permit':
      return `permit for limited first power, on ${body.checks.length} records`;
    case 'power':
      return `powered, limited, ${body.onS} s at ${body.packV} V: ${body.verdict}; ${body.signs.filter(({ seen }) => seen).length} of ${body.signs.length} signs seen${body.endedBy === 'done' ? '' : `; ended by ${body.endedBy}`}`;
    case 'fault':
      return `fault: ${body.fault.symptom}; ${siteWords(body.fault.site, now)}; ${body.fault.state}`;
    case 'caution':
      return `said: ${body.id}`;
    case 'waiver':
      return `waived: ${body.finding.slice(0, body.finding.indexOf(':'))}, ${body.reason}`;
    case 'kit':
      return `counted in: ${body.have} of ${body.wanted}, ${body.line.replaceAll(':', ' ')}${body.have < body.wanted ? ', short' : ''}`;
    case 'weight':
      return `weighed ${body.what}: ${body.grams} g`;
    case 'signature':
      return `signature of the loose ${body.slot}: ${body.readings.length} readings${body.readings.some(({ verdict }) => verdict === 'stop') ? ', one a good part cannot show' : ''}`;
    case 'skip':
      return `put off: ${body.step.replace(':', ' ')}${body.reason ? `, ${body.reason}` : ''}`;
    case 'picture':
      return `picture of ${body.of}`;
    case 'taken back':
      return `taken back: ${body.reason}`;
  }
}
