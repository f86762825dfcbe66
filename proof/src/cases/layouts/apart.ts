/** What keeps away from what. */
import { aircraft, box, frame, place } from './parts';
import type { LayoutByHand } from './terms';

const positioning = (id: string, kinds: readonly ('serial' | 'i2c')[]) =>
  box(id, 'positioning', [20, 20, 6], {
    ports: kinds.map((kind) => ({
      id: kind,
      kind,
      way: 'both',
      levelV: 3.3,
      speaks: [],
      inversion: 'plain',
      halfDuplex: false,
      excludes: [],
      needs: [],
    })),
  });
export const aparts: LayoutByHand[] = [
  {
    says: 'a positioning unit on the lid over the video unit',
    margin: 'apart',
    parts: aircraft({
      FRAME: frame({
        places: [
          place('stack', 'stack'),
          place('rear bay', 'bay', { atMm: [0, -40, 6.5], madeFor: ['video unit'] }),
          place('lid', 'lid', { atMm: [0, -40, 40], madeFor: ['positioning'] }),
        ],
      }),
      VTX: box('vtx-hot', 'video unit', [30, 30, 12]),
      GPS: positioning('gps', ['serial']),
    }),
    // The unit's top at 6.5 + 12.
    terms: [
      ['from top to underside', 40 - 18.5, 0.3],
      ['wanted', -30],
    ],
  },
  {
    says: 'a compass beside the battery lead',
    margin: 'apart',
    parts: aircraft({
      FRAME: frame({
        places: [
          place('stack', 'stack'),
          place('rear deck', 'surface', { atMm: [0, -60, 8], madeFor: ['positioning'] }),
          place('tail', 'surface', { atMm: [0, -98, 8], madeFor: ['battery lead'] }),
        ],
      }),
      BAT: box('bat-far', 'battery lead', [16, 15, 8]),
      GPS: positioning('gps-compass', ['serial', 'i2c']),
    }),
    // The unit's rear edge at -70, the lead's front edge at -90.5.
    terms: [
      ['between their edges', 20.5, 0.3],
      ['wanted', -40],
    ],
  },
];
