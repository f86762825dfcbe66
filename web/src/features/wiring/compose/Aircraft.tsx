/** What the heap would make, from above and from the side, to scale. */
import type { Laid } from '@junctor/core';
import styled from 'styled-components';
import { LaidFromAbove } from '../../../drawing/LaidFromAbove';
import { LaidFromTheSide } from '../../../drawing/LaidFromTheSide';
import { Words } from '../../../ui/layout';

const Both = styled.div`
  position: absolute;
  inset: 0;
  display: grid;
  grid-template-rows: minmax(0, 26fr) minmax(0, 13fr);
  gap: 4px;
`;

export function Aircraft({ laid, held }: { laid: Laid | null; held: readonly string[] }) {
  if (!laid) return <Words>There is no frame on the heap yet: nothing says where its parts lie.</Words>;
  return (
    <Both>
      <LaidFromAbove laid={laid} held={held} highPx={260} />
      <LaidFromTheSide laid={laid} held={held} highPx={130} whole />
    </Both>
  );
}
