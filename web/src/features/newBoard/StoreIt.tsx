/** Before a new board is stored: what contradicts, what stays for the record only, what is assumed. */
import type { Drafted, Measured, Meter } from '@junctor/core';
import { applySignature, checkModel } from '@junctor/core';
import { FormProblem } from '../../ui/form';
import { Lines } from '../../ui/Sheet';
import { KeyButton } from '../../ui/KeyButton';
import { useStoreModel } from '../../files/useStoreModel';
import { Words } from '../../ui/layout';

interface StoreProps {
  drafted: Drafted;
  measured: readonly Measured[];
  meter: Meter;
  onStored: (id: string) => void;
}

export function StoreIt({ drafted, measured, meter, onStored }: StoreProps) {
  const { model, contradicts } = applySignature(drafted.model, measured, meter);
  const { problem, store } = useStoreModel(model, onStored);
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
  return (
    <>
      <Lines aria-label="Before it is stored">
        {against.map((line) => (
          <li key={line}>
            <strong>▲ {line}</strong>
          </li>
        ))}
        {contradicts.map((line) => (
          <li key={line}>
            <strong>▲ measured otherwise: {line}</strong>
          </li>
        ))}
        <li>
          <span>
            {model.terminals.length} pads, {model.ports.length} ports, {model.connectors.length} plugs,{' '}
            {model.elements.length} elements inside
          </span>
        </li>
        <li>
          <span>
            {unknown.length > 0
              ? `For the record only, nobody knows what they are: ${unknown.join(' ')}`
              : 'Every pad has a meaning.'}
          </span>
        </li>
        <li>
          <span>
            Limits of its regulators, currents and clamps are assumed, and say so until somebody measures or reads the
            sheet.
          </span>
        </li>
        {measured.length === 0 && (
          <li>
            <span>Nothing has been measured on the loose part: its signature is computed from assumptions.</span>
          </li>
        )}
      </Lines>
      <FormProblem message={problem} />
      <Words>
        <KeyButton
          keyed="Enter"
          label={`Store ${model.name || 'it'} as ${model.id}, revision 1`}
          act={() => store(against)}
        />
      </Words>
    </>
  );
}
