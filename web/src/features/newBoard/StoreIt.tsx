/** Before a new board is stored: what contradicts, what stays for the record only, what is assumed. */
import type { Drafted, Measured, Meter } from '@junctor/core';
import { applySignature, checkModel } from '@junctor/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { keys } from '../../api/keys';
import { FormProblem } from '../../ui/form';
import { Lines } from '../../ui/Sheet';
import { KeyButton } from '../../ui/KeyButton';
import { importModels } from '../../files/importFile';
import { Words } from '../../ui/layout';

interface StoreProps {
  drafted: Drafted;
  measured: readonly Measured[];
  meter: Meter;
  onStored: (id: string) => void;
}

export function StoreIt({ drafted, measured, meter, onStored }: StoreProps) {
  const client = useQueryClient();
  const [problem, setProblem] = useState<string | null>(null);
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
  const store = async () => {
    if (against.length > 0) return setProblem('Not while a fault stands above');
    const result = await importModels([model]);
    if (!result.ok)
      return setProblem([result.message, ...result.faults.map(({ path, message }) => `${path}: ${message}`)].join(' '));
    await client.invalidateQueries({ queryKey: keys.modelIndex });
    onStored(model.id);
  };
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
          act={() => void store()}
        />
      </Words>
    </>
  );
}
