/** Before a new frame is stored: what it contradicts in itself, and what it does not say. */
import type { FrameDraft, PartModel } from '@junctor/core';
import { checkModel } from '@junctor/core';
import { useStoreModel } from '../../files/useStoreModel';
import { FormProblem } from '../../ui/form';
import { KeyButton } from '../../ui/KeyButton';
import { Words } from '../../ui/layout';
import { Lines } from '../../ui/Sheet';

interface StoreProps {
  draft: FrameDraft;
  model: PartModel;
  onStored: (id: string) => void;
}

export function StoreFrame({ draft, model, onStored }: StoreProps) {
  const { problem, store } = useStoreModel(model, onStored);
  const against = [
    ...(draft.name && draft.maker ? [] : ['name and maker are wanted']),
    ...checkModel(model).map(({ message }) => message),
  ];
  return (
    <>
      <Lines aria-label="Before it is stored">
        {against.map((line) => (
          <li key={line}>
            <strong>▲ {line}</strong>
          </li>
        ))}
        {notSaid(draft).map((line) => (
          <li key={line}>
            <span>{line}</span>
          </li>
        ))}
        <li>
          <span>Ways of wires are the usual ones: along the plate, the arms, and up at the rear to the lid.</span>
        </li>
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

/** What a layout in it will not be able to say. */
function notSaid({ places, openings }: FrameDraft): string[] {
  const passes = new Set(openings.map((one) => one.passes));
  return [
    ...(places.length === 0 ? ['No place but the stack: everything else must be looked at.'] : []),
    ...(places.some(({ kind }) => kind === 'cheeks') ? [] : ['No cheeks: where a camera goes is not known.']),
    ...(passes.has('usb') ? [] : ['No opening for USB: a controller’s socket is reached through none.']),
    ...(passes.has('aerial') ? [] : ['No hole for an aerial: where it leaves the frame is looked at.']),
  ];
}
