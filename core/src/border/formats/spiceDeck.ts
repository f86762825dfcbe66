/**
 * The circuit of a build, switched off, as a SPICE deck that any SPICE reads: resistors, capacitors with their series
 * resistance, diodes with their law (emission 1.7, at 300 K). Node 0 is battery minus where there is one.
 */
import type { Circuit } from '../../physics/circuit/compile';
import { compile } from '../../physics/circuit/compile';
import { emission, saturationA } from '../../physics/circuit/diode';
import { mainLeads } from '../../facts/wiring/mainLeads';
import type { Assembly } from '../../facts/assembly/assembly';
import { lookUp } from '../../facts/terms/lookUp';

/** The deck of a build, or of its circuit with a fault; node 0 is battery minus where it has a battery lead. */
export function spiceDeckOf(assembly: Assembly, title: string, circuit = compile(assembly)): string {
  const leads = mainLeads(assembly);
  return spiceDeck(circuit, title, (leads && lookUp(circuit.at, leads.minus)) || null);
}

/** `ground` is the node that becomes 0; null takes the first. */
function spiceDeck({ nodes, branches }: Circuit, title: string, ground: string | null): string {
  const zero = ground ?? nodes[0];
  const name = new Map(nodes.map((node, index) => [node, node === zero ? '0' : `n${index}`]));
  const lines = branches.flatMap(({ id, a, b, element }, index): string[] => {
    const [na, nb] = [name.get(a)!, name.get(b)!];
    const remark = `* ${id}: ${a} to ${b}`;
    switch (element.is) {
      case 'resistor':
        return [remark, `R${index} ${na} ${nb} ${element.ohms}`];
      case 'capacitor':
        return [remark, `C${index} ${na} m${index} ${element.farads}`, `RC${index} m${index} ${nb} ${element.esrOhms}`];
      case 'diode':
        return [
          remark,
          `D${index} ${na} ${nb} d${index}`,
          `.model d${index} D(IS=${saturationA(element)} N=${emission} RS=${element.seriesOhms})`,
        ];
      case 'unknown switch':
        return [`${remark}, a switch whose state is not known: left open`];
    }
  });
  const leaks = nodes.filter((node) => node !== zero).map((node, index) => `RG${index} ${name.get(node)} 0 1e10`);
  return [`* ${title.replace(/\n/g, ' ')}`, ...lines, '* leaks that give every node a path', ...leaks, '.end', ''].join(
    '\n',
  );
}
