/**
 * What customers say, by what it is about, in the words of the bench; and what each way of dying makes likely.
 * General bench practice.
 */
import type { HowDied, SymptomArea } from '../../facts/log/records';

export const symptomWords: Readonly<Record<SymptomArea, readonly string[]>> = {
  power: [
    'dead when plugged in',
    'alive on USB, dead on the pack',
    'dies when it is plugged in',
    'restarts again and again',
    'shows wrong volts or current',
  ],
  'tones and motors': [
    'no tone from any motor',
    'one motor stutters or will not start',
    'one motor turns the wrong way',
    'dies in hard flight',
  ],
  control: ['not seen on USB', 'the radio does not reach it', 'no telemetry', 'resets in bright light or heat'],
  picture: ['no picture', 'picture without the overlay', 'noise in the picture', 'blurred or specked picture'],
  positioning: ['finds no satellites', 'compass missing or wrong'],
  lights: ['lights stay dark', 'lights in the wrong order or colour'],
  'heat and smell': ['smells burnt', 'smoke came out', 'something grows hot'],
  structure: ['bent or broken after a crash', 'a lead or joint has come loose', 'a propeller or motor is damaged'],
};

/** What to look at first after it died in this way. */
export const lookFirst: Readonly<Record<HowDied, string>> = {
  crash: 'the ground contact of the ESC plug parts first: look at the plugs, then plus to minus, then each phase',
  'ran upside down': 'motors held by the ground: windings black, transistors shorted; read the phases of each motor',
  'a motor held fast': 'that motor and its ESC have hurt each other: winding first, then its phases to plus and minus',
  water: 'do not power it: dry it, look for green and white crust, read every rail to ground',
  'at plug-in': 'the inrush or an overshoot: capacitor, its joints, then plus to minus',
  'in flight':
    'heat or desync: windings, the ESC that drives the motor that stopped, then the supply of the controller',
  'on the bench': 'what was changed last: that joint, that plug, that wire',
  'nobody knows': 'plus to minus first, both ways round, before anything is plugged in',
  'it did not die': 'what it came in for; nothing is taken for dead',
};
