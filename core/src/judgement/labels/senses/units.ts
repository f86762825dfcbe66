/** Labels of video, buzzer, lights and aerials. */
import type { Company } from '../company';
import type { SenseTable, Senses } from './sense';
import { always, isControllerLike, one } from './sense';

const outs = ['VO', 'VOUT', 'VTX', 'O', 'VIDEOOUT'] as const;
const ins = ['VI', 'VIN', 'CAM', 'I', 'CAMERA'] as const;

const cameraIn: Senses = (at, { stem }) => {
  if (at.kind === 'camera') return [one('video out', 0.6), one('camera in', 0.4)];
  if (at.kind === 'distribution' || at.kind === 'regulator')
    return stem === 'VI' ? [one('battery')] : [one('supply', 0.6, { volts: 5 }), one(null, 0.4)];
  return [one('camera in')];
};

const videoOut: Senses = (at, { stem }) => {
  if (at.kind === 'regulator') return [one('supply', 0.5, { volts: 5 }), one('supply', 0.5, { volts: 10 })];
  if (at.kind === 'distribution')
    return [one('supply', 0.5, { volts: 10 }), one('battery', 0.3), one('video out', 0.2)];
  if (at.kind === 'video unit' && stem === 'VTX') return [one('camera in', 0.5), one('video out', 0.5)];
  return [one('video out')];
};

const vin: Senses = (at) => {
  if (['regulator', 'distribution', 'esc', 'light controller'].includes(at.kind)) return [one('battery')];
  if (at.kind === 'video unit') return [one('camera in', 0.5), one('battery', 0.5)];
  if (isControllerLike(at) && at.has(...outs)) return [one('camera in')];
  return [one('camera in', 0.4), one('battery', 0.4), one('supply', 0.2, { volts: 5 })];
};

const vout: Senses = (at) => {
  if (at.kind === 'regulator' || at.kind === 'distribution')
    return [one('supply', 0.5, { volts: 5 }), one('supply', 0.5, { volts: 10 })];
  if (at.kind === 'camera' || at.has(...ins)) return [one('video out')];
  return [one('video out', 0.7), one('supply', 0.3, { volts: 5 })];
};

const video = (at: Company) => {
  if (at.kind === 'video unit') return [one('camera in')];
  if (at.kind === 'camera') return [one('video out')];
  if (at.has('CAM', 'CAMERA', 'CAMIN', 'VI') !== at.has('VTX', 'VO', 'VIDOUT'))
    return [one(at.has('CAM', 'CAMERA', 'CAMIN', 'VI') ? 'video out' : 'camera in')];
  return [one('video out', 0.6), one('camera in', 0.4)];
};

const lamps: Senses = (at, { dir }) => {
  const way = dir ? { dir } : {};
  if (isControllerLike(at) || at.kind === 'lights' || at.kind === 'light controller') return [one('lights', 1, way)];
  if (at.kind === 'distribution' || at.kind === 'esc')
    return [one('lights', 0.6), one('supply', 0.3, { volts: 5 }), one(null, 0.1)];
  return [one('lights', 0.7), one(null, 0.3)];
};

const data =
  (dir: 'takes' | 'gives' | null): Senses =>
  (at) => {
    const isLamp = at.kind === 'lights' || at.kind === 'light controller';
    if (isLamp) return [one('lights', 1, dir && at.kind === 'lights' ? { dir } : {})];
    return [one('lights', 0.5), one('debug', 0.5)];
  };

const buzzer: Senses = (at) =>
  at.has('BZ+', 'BUZ+', 'BUZZ+', 'BUZZER+', 'BEEP+', 'BEEPER+') || at.near('+')
    ? [one('buzzer -')]
    : [one('buzzer -', 0.55), one('buzzer +', 0.45)];

export const otherUnits: SenseTable = {
  'CAM CAMERA CAMIN VI VIDIN VIDEOIN': cameraIn,
  'VO VTX VTXOUT VIDEOOUT VIDOUT': videoOut,
  VIN: vin,
  VOUT: vout,
  'VIDEO VID': (at, { dir }) => {
    if (dir === 'takes') return [one('camera in')];
    if (dir === 'gives') return [one('video out')];
    return video(at);
  },
  I: (at, { index }) => {
    if (index !== null) return [];
    if (at.kind === 'esc') return [one('current', 0.8), one(null, 0.2)];
    return at.has('O') ? [one('camera in')] : [one('camera in', 0.55), one('current', 0.45)];
  },
  O: (at, { index }) => {
    if (index !== null) return [];
    return at.has('I') ? [one('video out')] : [one('video out', 0.55), one('motor', 0.45)];
  },
  'BZ+ BUZ+ BUZZ+ BUZZER+ BEEP+ BEEPER+ BB+': always(one('buzzer +')),
  'BZ- BUZ- BUZZ- BUZZER- BEEP- BEEPER- BB-': always(one('buzzer -')),
  'BZ BUZ BUZZ BUZZER BEEP BEEPER': buzzer,
  'LED LEDS LEDSTRIP STRIP RGB LEDDATA LEDSIG LEDD': lamps,
  'LED+': always(one('supply', 0.6, { volts: 5 }), one('battery', 0.4)),
  'DI DIN': data('takes'),
  'DO DOUT': data('gives'),
  'DAT DATA': data(null),
  'ANT ANTENNA AERIAL RF ANTL ANTR ANTA ANTB': always(one('aerial')),
};
