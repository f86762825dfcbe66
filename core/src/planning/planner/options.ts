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
      return serial(wish, model, parts, 'serialReceiver', ['serialReceiver'], ['two-way', 'control only']);
    case 'positioning':
      return serial(wish, model, parts, 'positioning', ['positioning'], ['two-way']);
    case 'on-screen data':
      return serial(wish, model, parts, 'video', ['video', 'control'], ['two-way']);
    case 'video control':
      return [...serial(wish, model, parts, 'control', ['control'], ['own port']), ...overReceiver(wish, model, parts)];
    case 'ESC telemetry':
      return serial(wish, model, parts, 'escTelemetry', ['escTelemetry'], ['own port'], 'escData');
    case 'telemetry':
      return serial(wish, model, parts, 'telemetry', ['telemetry'], ['own port']);
    case 'video':
      return video(wish, model, parts);
    case 'compass':
      return shared(wish, model, parts, 'i2c', ['sda', 'scl'], 'shared pad');
    case 'buzzer':
      return shared(wish, model, parts, 'buzzer', ['minus', 'plus'], 'shared pad');
    case 'lights':
      return lights(wish, model, parts);
    case 'second ground':
      return secondGround(wish, model, parts);
    case 'camera':
    case 'current sense':
      return [];
  }
}
