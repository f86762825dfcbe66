/** Estimates of bench time in seconds, until the shop has learned its own. */
import type { Build } from '../../facts/assembly/build';
import type { StepKind } from './step';
import { landS } from '../../physics/joints/seconds';

export function takesS(step: StepKind, target: Build): number {
  switch (step.verb) {
    case 'land':
      return landS(target, step.subject);
    case 'redo':
    case 'free':
      return 60;
    case 'fit':
      return 60;
    case 'take':
      return 120;
    case 'lead':
    case 'mate':
    case 'unmate':
      return 20;
    case 'look':
      return 10 + 8 * step.joints.length;
    case 'count':
      return 8;
    case 'weigh':
    case 'picture':
      return 20;
    case 'sign':
      return 60;
    case 'say':
      return step.subject.startsWith('set up ') ? 300 : 5;
    case 'prove':
      return 30;
    case 'touch':
      return 5;
    case 'power':
      return 90;
    case 'pack':
      return 40;
    default:
      return 5;
  }
}

