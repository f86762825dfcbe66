/** A new board from its printed labels: size, rows of pads, what competing labels mean, a first measurement, stored. */
import type { BoardDraft } from '@junctor/core';
import { modelStored, places } from '../../addresses';
import { draftModel } from '@junctor/core';
import { useMemo, useState } from 'react';
import { useLocation, useNavigate, useParams } from 'react-router';
import { useMeter } from '../../api/queries';
import { useSession } from '../../api/session';
import { Board } from '../../drawing/Board';
import { Notice } from '../../ui/Notice';
import type { Door } from '../../ui/Sheet';
import { Columns, Sheet } from '../../ui/Sheet';
import { Meanings } from './Meanings';
import { Measures } from './Measures';
import { PhotoPads } from './PhotoPads';
import { Rows } from './Rows';
import { SizeForm } from './SizeForm';
import { StoreIt } from './StoreIt';
import { useDraft } from './useDraft';
import { DrawingRoom } from '../../ui/layout';

type EntryPart = 'size' | 'pads' | 'picture' | 'meanings' | 'measure' | 'store';
const titles: Readonly<Record<EntryPart, string>> = {
  size: 'How large is it, and what is it?',
  pads: 'What is printed along its edges?',
  picture: 'Where on the picture are the pads?',
  meanings: 'What do the labels mean?',
  measure: 'What does the meter say to the loose part?',
  store: 'Is it all as it should be?',
};

export function NewBoardPage() {
  const navigate = useNavigate();
  const location = useLocation();
  const role = useSession().data?.role;
  const { draft, measured, setDraft, setMeasured, forget } = useDraft();
  const asked = useParams().part ?? 'size';
  const [ring, setRing] = useState<number | null>(null);
  const meter = useMeter();
  const drafted = useMemo(() => draftModel(draft), [draft]);
  if (role !== 'lead')
    return (
      <Notice title="A lead enters new boards" end>
        Ask one to sign in at this tablet.
      </Notice>
    );
  if (!isPart(asked))
    return (
      <Notice title="There is no such part of a new board" end>
        “{asked}” is none of {Object.keys(titles).join(', ')}.
      </Notice>
    );
  const part = asked;
  const go = (next: EntryPart) => {
    setRing(null);
    void navigate(places.newBoardPart(next), { replace: true, state: location.state });
  };
  const change = (some: Partial<BoardDraft>) => setDraft({ ...draft, ...some });
  const open = drafted.pads.filter((pad) => pad.open).length;
  const doors: Door[] = [
    { key: '1', label: 'Size', act: () => go('size') },
    { key: '2', label: `Pads: ${drafted.pads.length}`, act: () => go('pads') },
    { key: '3', label: 'On a picture', act: () => go('picture') },
    { key: '4', label: open > 0 ? `Meanings: ${open} to say` : 'Meanings', act: () => go('meanings') },
    { key: '5', label: 'First measurement', act: () => go('measure') },
    { key: '6', label: 'Store it', act: () => go('store') },
  ];
  const ringed = ring === null ? null : drafted.pads[ring];
  const side = ringed?.side ?? 'top';
  return (
    <Sheet
      place="stores, new board"
      title={titles[part]}
      go={(to) => void navigate(to)}
      doors={part === 'meanings' ? [] : doors}
      note={`${draft.name || 'a new board'}: ${draft.widthMm} x ${draft.heightMm} mm, ${drafted.pads.length} ${drafted.pads.length === 1 ? 'pad' : 'pads'}. Kept in this browser until it is stored.`}
    >
      <Columns>
        <section>
          {part === 'size' && (
            <SizeForm
              draft={draft}
              onDone={(some) => {
                change(some);
                go('pads');
              }}
            />
          )}
          {part === 'pads' && <Rows draft={draft} onChange={change} onDone={() => go('meanings')} />}
          {part === 'picture' && <PhotoPads draft={draft} onChange={change} />}
          {part === 'meanings' && (
            <Meanings draft={draft} drafted={drafted} onRing={setRing} onChange={change} onDone={() => go('measure')} />
          )}
          {part === 'measure' && meter && (
            <Measures
              model={drafted.model}
              meter={meter}
              measured={measured}
              onChange={setMeasured}
              onDone={() => go('store')}
            />
          )}
          {part === 'store' && meter && (
            <StoreIt
              drafted={drafted}
              measured={measured}
              meter={meter}
              onStored={(id) => {
                forget();
                void navigate(modelStored(id, location.state));
              }}
            />
          )}
        </section>
        <section>
          <DrawingRoom>
            <Board
              slot="new"
              model={drafted.model}
              side={side}
              marks={new Map()}
              rings={ringed ? [ringed.terminal] : []}
              everyLabel
            />
          </DrawingRoom>
        </section>
      </Columns>
    </Sheet>
  );
}

function isPart(name: string): name is EntryPart {
  return name in titles;
}
