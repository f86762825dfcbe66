/** The ways in which a wish can be served: which port it takes, what must be joined to what, and what is lost by it. */
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Wish } from '../../facts/plan/wish';
import type { Assembly } from '../../facts/assembly/assembly';
import type { Option } from './ways';
import { serial, overReceiver } from './serialWays';
import { video } from './videoWays';
import { shared, lights, secondGround } from './padWays';

/** Every option of a wish with these parts; empty when nothing can serve it. */
export function optionsFor(wish: Wish, parts: Assembly): Option[] {
  const model = parts.model(wish.of);
  if (!model) return [];
  return ways(wish, model, parts).filter(({ way }) => wish.ways.includes(way));
}

function ways(wish: Wish, model: PartModel, parts: Assembly): Option[] {
  switch (wish.purpose) {
    case 'receiver':
      return serial(wish, model, parts, {
        own: 'serialReceiver',
        theirs: ['serialReceiver'],
        allowed: ['two-way', 'control only'],
      });
    case 'positioning':
      return serial(wish, model, parts, { own: 'positioning', theirs: ['positioning'], allowed: ['two-way'] });
    case 'on-screen data':
      return serial(wish, model, parts, { own: 'video', theirs: ['video', 'control'], allowed: ['two-way'] });
    case 'video control':
      return [
        ...serial(wish, model, parts, { own: 'control', theirs: ['control'], allowed: ['own port'] }),
        ...overReceiver(wish, model, parts),
      ];
    case 'ESC telemetry':
      return serial(wish, model, parts, {
        own: 'escTelemetry',
        theirs: ['escTelemetry'],
        allowed: ['own port'],
        kind: 'escData',
      });
    case 'telemetry':
      return serial(wish, model, parts, { own: 'telemetry', theirs: ['telemetry'], allowed: ['own port'] });
    case 'video':
      return video(wish, model, parts);
    case 'compass':
      return shared(wish, model, parts, { kind: 'i2c', pins: ['sda', 'scl'], way: 'shared pad' });
    case 'buzzer':
      return shared(wish, model, parts, { kind: 'buzzer', pins: ['minus', 'plus'], way: 'shared pad' });
    case 'lights':
      return lights(wish, model, parts);
    case 'second ground':
      return secondGround(wish, model, parts);
    case 'camera':
    case 'current sense':
      return [];
  }
}
