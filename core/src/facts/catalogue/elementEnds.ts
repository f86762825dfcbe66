/** The two nodes of a part between which an element lies. */
import type { NodeId } from '../terms/names';
import type { Element } from './partModel';

/** Of what has a sense plus, anode or input first. A regulator has its ground besides. */
export function endsOf(element: Element): readonly [NodeId, NodeId] {
  switch (element.is) {
    case 'resistor':
    case 'winding':
    case 'switch':
      return [element.a, element.b];
    case 'capacitor':
    case 'load':
      return [element.plus, element.minus];
    case 'diode':
      return [element.anode, element.cathode];
    case 'regulator':
      return [element.input, element.output];
  }
}
