/** A new frame from its measurements: plates and motors, places, openings, stored. Drawn to scale as it grows. */
import type { FrameDraft } from '@junctor/core';
import { assemble, draftFrame, emptyBuild, layoutOf, makeCatalogue } from '@junctor/core';
import { useMemo } from 'react';
import { useLocation, useNavigate, useParams } from 'react-router';
import { modelStored, places } from '../../addresses';
import { useSession } from '../../api/session';
import { LaidFromAbove } from '../../drawing/LaidFromAbove';
import { DrawingRoom } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import type { Door } from '../../ui/Sheet';
import { Columns, Sheet } from '../../ui/Sheet';
import { useKeptDraft } from '../../ui/useKeptDraft';
import { emptyFrame } from './emptyFrame';
import { FrameSizeForm } from './FrameSizeForm';
import { OpeningsForm } from './OpeningsForm';
import { PlacesForm } from './PlacesForm';
import { StoreFrame } from './StoreFrame';

const titles = {
  size: 'How large is it, and where are its motors?',
  places: 'Where can something be?',
  openings: 'What can be reached from outside?',
  store: 'Is it all as it should be?',
} as const;
type Part = keyof typeof titles;

export function NewFramePage() {
  const navigate = useNavigate();
  const location = useLocation();
  const role = useSession().data?.role;
  const { draft, keep, forget } = useKeptDraft<FrameDraft>('junctor.draft.frame', emptyFrame);
  const model = useMemo(() => draftFrame(draft), [draft]);
  const asked = useParams().part ?? 'size';
  if (role !== 'lead')
    return (
      <Notice title="A lead enters new frames" end>
        Ask one to sign in at this tablet.
      </Notice>
    );
  if (!isPart(asked))
    return (
      <Notice title="There is no such part of a new frame" end>
        “{asked}” is none of {Object.keys(titles).join(', ')}.
      </Notice>
    );
  const go = (part: Part) => void navigate(places.newFramePart(part), { replace: true, state: location.state });
  const change = (some: Partial<FrameDraft>) => keep({ ...draft, ...some });
  const doors: Door[] = [
    { key: '1', label: 'Size', act: () => go('size') },
    { key: '2', label: `Places: ${draft.places.length + 1}`, act: () => go('places') },
    { key: '3', label: `Openings: ${draft.openings.length}`, act: () => go('openings') },
    { key: '4', label: 'Store it', act: () => go('store') },
  ];
  return (
    <Sheet
      place="stores, new frame"
      title={titles[asked]}
      go={(to) => void navigate(to)}
      doors={doors}
      note={`${draft.name || 'a new frame'}: ${draft.motors} motors, ${draft.acrossMm} x ${draft.alongMm} mm. Kept in this browser until it is stored.`}
    >
      <Columns>
        <section>
          {asked === 'size' && (
            <FrameSizeForm
              draft={draft}
              onDone={(some) => {
                change(some);
                go('places');
              }}
            />
          )}
          {asked === 'places' && <PlacesForm draft={draft} onChange={change} onDone={() => go('openings')} />}
          {asked === 'openings' && <OpeningsForm draft={draft} onChange={change} onDone={() => go('store')} />}
          {asked === 'store' && (
            <StoreFrame
              draft={draft}
              model={model}
              onStored={(id) => {
                forget();
                void navigate(modelStored(id, location.state));
              }}
            />
          )}
        </section>
        <section>
          <DrawingRoom>
            <LaidFromAbove laid={bareFrame(model)} held={[]} showPlaces />
          </DrawingRoom>
        </section>
      </Columns>
    </Sheet>
  );
}

function isPart(name: string): name is Part {
  return Object.hasOwn(titles, name);
}

/** An aircraft that is nothing but this frame. */
function bareFrame(model: ReturnType<typeof draftFrame>) {
  const slots = { FRAME: { model: model.id, revision: 1, part: null, pose: null } };
  return layoutOf(assemble({ ...emptyBuild, slots }, makeCatalogue([model])))!.laid;
}
