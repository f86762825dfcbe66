/** Before a new frame is stored: what it contradicts in itself, and what it does not say. */
import type { FrameDraft, PartModel } from '@junctor/core';
import { checkModel } from '@junctor/core';
import { StoreModel } from '../../ui/StoreModel';

interface StoreProps {
  draft: FrameDraft;
  model: PartModel;
  onStored: (id: string) => void;
}

export function StoreFrame({ draft, model, onStored }: StoreProps) {
  const against = [
    ...(draft.name && draft.maker ? [] : ['name and maker are wanted']),
    ...checkModel(model).map(({ message }) => message),
  ];
  return <StoreModel model={model} against={against} says={[...notSaid(draft), usualWays]} onStored={onStored} />;
}

const usualWays = 'Ways of wires are the usual ones: along the plate, the arms, and up at the rear to the lid.';

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
