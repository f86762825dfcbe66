/** A record in a technician's words, as things were called when it was made: never by an id. */
import { applyAct } from '../../facts/assembly/applyAct';
import type { Assembly } from '../../facts/assembly/assembly';
import { housingWords, plugWords } from '../../facts/assembly/plugWords';
import { contactWords, jointWords, siteWords, wireWords } from '../../facts/assembly/itemWords';
import { terminalWords } from '../../facts/assembly/padWords';
import { slotTitle, slotWords } from '../../facts/assembly/slotWords';
import type { CutNote, Note, QuadRecord } from '../../facts/log/records';
import { isAct } from '../../facts/log/records';
import type { Act } from '../../facts/assembly/act';
import type { WireId } from '../../facts/terms/names';
import { jointName, splitJoint } from '../../facts/terms/names';
import { expectedWords, heardWords } from './readingWords';
import { lookUp } from '../../facts/terms/lookUp';

/** @param before The quad as it was when this was recorded. */
export function recordWords({ body }: Pick<QuadRecord, 'body'>, before: Assembly): string {
  return isAct(body) ? actWords(body, before, applyAct(before, body)) : noteWords(body, before);
}

function actWords(body: Act, before: Assembly, after: Assembly): string {
  const wireOf = (id: WireId) => {
    const wire = lookUp(before.build.wires, id) ?? lookUp(after.build.wires, id);
    return wire ? wireWords(wire, Object.hasOwn(before.build.wires, id) ? before : after) : 'a wire that was not there';
  };
  switch (body.do) {
    case 'fit':
      return `${slotWords(body.slot, after)} put in place`;
    case 'take off':
      return `${slotWords(body.slot, before)} taken off, to ${body.to}`;
    case 'land': {
      const { at } = body.as;
      if (at.on === 'terminal') return `${wireOf(body.wire)} soldered to ${terminalWords(at.ref, after)}`;
      if (at.on === 'cavity') return `${wireOf(body.wire)} put into ${contactWords(at.housing, at.position, after)}`;
      return `${wireOf(body.wire)} left in the air`;
    }
    case 'reheat':
      return `joint reworked: ${jointWords(jointName(body.wire, body.end), before)}`;
    case 'free':
      return `taken off: ${jointWords(jointName(body.wire, body.end), before)}`;
    case 'drop wire':
      return `${wireOf(body.wire)} taken out`;
    case 'house':
      return `${housingWords(body.housing.id, after)} made ready`;
    case 'unhouse':
      return `${housingWords(body.housing, before)} taken away`;
    case 'mate':
      return `plug ${plugWords(body.id, after)} pushed home`;
    case 'unmate':
      return `plug ${plugWords(body.id, before)} pulled`;
    case 'hide':
    case 'bare':
      return `${body.refs.length} terminals ${body.do === 'hide' ? `covered by ${body.by}` : 'bare again'}`;
    case 'contact':
      return `contact between ${terminalWords(body.a, before)} and ${terminalWords(body.b, before)}`;
  }
}

function lookedAtWords(of: string, now: Assembly): string {
  if (splitJoint(of)) return jointWords(of, now);
  if (Object.hasOwn(now.build.slots, of)) return slotWords(of, now);
  return Object.hasOwn(now.build.mates, of) ? `plug ${plugWords(of, now)}` : of.replace('.', ' ');
}

function noteWords(body: Note, now: Assembly): string {
  switch (body.saw) {
    case 'reading': {
      const { touch, heard, expected, verdict } = body.reading;
      const wanted = expected.from === 'none' ? 'not known' : expectedWords(expected);
      return `black ${terminalWords(touch.black, now)}, red ${terminalWords(touch.red, now)}: ${heardWords(heard)}; expected ${wanted}: ${verdict}`;
    }
    case 'look': {
      const of = lookedAtWords(body.of, now);
      return `looked at ${of}: ${body.grade}${body.defects.length > 0 ? `, ${body.defects.join(', ')}` : ''}`;
    }
    case 'meter proof':
      return `meter proved: apart ${body.tipsApart === 'none' ? 'silent' : 'sounds'}, together ${body.tipsTogether === 'none' ? 'silent' : 'sounds'}; main leads ${body.restV} V`;
    case 'pack':
      return `pack measured: ${body.volts} V, polarity ${body.polarity}`;
    case 'permit':
      return `permit for limited first power, on ${body.checks.length} records`;
    case 'power':
      return `powered, ${body.stage}, ${body.onS} s at ${body.packV} V: ${body.verdict}; ${body.signs.filter(({ seen }) => seen).length} of ${body.signs.length} signs seen${body.endedBy === 'done' ? '' : `; ended by ${body.endedBy}`}`;
    case 'fault':
      return `fault: ${body.fault.symptom}; ${siteWords(body.fault.site, now)}; ${body.fault.state}`;
    case 'caution':
      return `said: ${body.id}`;
    case 'waiver':
      return `waived: ${body.finding.slice(0, body.finding.indexOf(':'))}, ${body.reason}`;
    case 'kit':
      return `counted in: ${body.have} of ${body.wanted}, ${body.line.replaceAll(':', ' ')}${body.have < body.wanted ? ', short' : ''}${body.instead ? `, taken instead: ${body.instead}` : ''}`;
    case 'weight':
      return `weighed ${body.what}: ${body.grams} g`;
    case 'signature':
      return `signature of the loose ${slotTitle(body.slot, now)}: ${body.readings.length} readings${body.readings.some(({ verdict }) => verdict === 'stop') ? ', one a good part cannot show' : ''}`;
    case 'layout':
      return `layout signed: ${body.no.length} margins do not hold, ${body.tight} tight${body.pictured ? ', what is not known shown on a picture' : ''}${body.reason ? `; ${body.reason}` : ''}`;
    case 'cut':
      return cutWords(body);
    case 'gap':
      return `measured, ${body.kind} of ${body.slots.join(' and ')}: ${body.mm} mm, reckoned ${body.reckonedMm} mm`;
    case 'length':
      return `${body.wire} cut to ${body.mm} mm${body.reckonedMm === null ? '' : `, planned ${body.reckonedMm} mm`}`;
    case 'skip':
      return `put off: ${body.step.replace(':', ' ')}${body.reason ? `, ${body.reason}` : ''}`;
    case 'picture':
      return `picture of ${body.of}`;
    case 'symptom':
      return `the customer says, ${body.area}: ${body.words}${body.answer ? `; ${body.answer.how}${body.answer.words ? `: ${body.answer.words}` : ''}` : ''}`;
    case 'history':
      return `how it died: ${body.died}${body.changedLast ? `; changed last: ${body.changedLast}` : ''}${body.overloadedS === null ? '' : `; overloaded for ${body.overloadedS} s`}`;
    case 'untouched':
      return 'nothing has touched it since the job before: what that one read and looked at still counts';
    case 'replace':
      return `${slotWords(body.slot, now)} is to be replaced; the old one goes to ${body.oldTo}${body.reason ? `: ${body.reason}` : ''}`;
    case 'stays open':
      return `plug ${plugWords(body.mate, now)} stays open: ${body.reason}`;
    case 'open point':
      return `open point: ${body.text}; ${body.state}${body.how ? `: ${body.how}` : ''}`;
    case 'goes':
      return `the old ${slotTitle(body.slot, now)} goes to ${body.to === 'customer' ? 'the customer' : body.to}`;
    case 'handed over':
      return `handed over to ${body.to}`;
    case 'taken back':
      return `taken back: ${body.reason}`;
  }
}

function cutWords({ from, back }: CutNote): string {
  const kept = from.filter(({ left }) => left).length;
  const used = from.length === 0 ? 'all of it off the reels' : `offcuts cut up: ${from.length}, put back: ${kept}`;
  const mm = back.reduce((sum, one) => sum + one.mm, 0);
  return `cut by the list, ${used}${mm > 0 ? `; ${mm} mm back on the reels` : ''}`;
}
