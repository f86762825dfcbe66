/** Before a new board is stored: what contradicts, what stays for the record only, what is assumed. */
import type { Drafted, Measured, Meter } from '@junctor/core';
import { applySignature, checkModel } from '@junctor/core';
import { StoreModel } from '../../ui/StoreModel';

interface StoreProps {
  drafted: Drafted;
  measured: readonly Measured[];
  meter: Meter;
  onStored: (id: string) => void;
}

export function StoreIt({ drafted, measured, meter, onStored }: StoreProps) {
  const { model, contradicts } = applySignature(drafted.model, measured, meter);
  const faults = checkModel(model);
  const open = drafted.pads.filter((pad) => pad.open).map(({ printed }) => printed);
  const unknown = drafted.pads
    .filter(({ meaning, open: asked }) => meaning === null && !asked)
    .map(({ terminal }) => terminal);
  const against = [
    ...faults.map(({ message }) => message),
    ...(open.length > 0 ? [`to be said first: ${open.join(' ')}`] : []),
    ...(model.terminals.length === 0 ? ['no pad has been entered'] : []),
  ];
  const says = [
    `${model.terminals.length} pads, ${model.ports.length} ports, ${model.connectors.length} plugs, ${model.elements.length} elements inside`,
    unknown.length > 0
      ? `For the record only, nobody knows what they are: ${unknown.join(' ')}`
      : 'Every pad has a meaning.',
    'Limits of its regulators, currents and clamps are assumed, and say so until somebody measures or reads the sheet.',
    ...(measured.length === 0
      ? ['Nothing has been measured on the loose part: its signature is computed from assumptions.']
      : []),
  ];
  const warnings = contradicts.map((line) => `measured otherwise: ${line}`);
  return <StoreModel model={model} against={against} warnings={warnings} says={says} onStored={onStored} />;
}
