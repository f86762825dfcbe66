/** Controllers as they lie in a bag: a size and printed labels, in words that boards use. */
import type { BoardDraft, PadRow } from '@junctor/core';

const edges = ['bottom', 'top', 'left', 'right'] as const;

/** Four rows each, from the lower edge on. */
const printed: readonly (readonly [string, string, string, string])[] = [
  ['T1 R1 5V G T2 R2 5V G VBAT G', 'BZ+ BZ- LED 9V G', 'S1 G S2 G S3 G S4 G', 'T6 R6 SDA SCL'],
  ['TX1 RX1 5V GND TX2 RX2 5V GND', 'TX3 RX3 5V GND', 'M1 M2 M3 M4 GND', 'VBAT GND'],
  ['T1 R1 G 5V T3 R3 G 5V', 'T4 R4 5V G', 'S1 S2 S3 S4 G BAT', 'LED 5V G'],
  ['BAT GND 5V GND', 'TX1 RX1 TX2 RX2 TX6 RX6', 'S1 S2 S3 S4', 'GND GND 5V 5V BZ+ BZ-'],
  ['R2 T2 5V G', 'R5 T5 5V G', 'VBAT G S1 S2 S3 S4', 'SDA SCL 3V3 G'],
  ['TX1 RX1 GND 5V', 'TX4 RX4 GND 5V TX5 RX5 GND 5V', 'M1 GND M2 GND M3 GND M4 GND', 'VBAT GND'],
  ['T1 R1 T2 R2 T3 R3', '5V 5V 5V G G G', 'S1 S2 S3 S4 G G', 'VBAT G LED'],
  ['5V G T1 R1', '5V G T6 R6', 'S1 S2 S3 S4 G', 'VBAT G CUR TLM'],
  ['RX2 TX2 GND 5V', 'RX3 TX3 GND 5V', 'S4 S3 S2 S1 GND', 'GND VBAT'],
  ['G 5V R1 T1 G 5V R4 T4', 'BZ- BZ+ G 9V', 'S1 S2 S3 S4 S5 S6 S7 S8', 'VBAT G G'],
];

export function labelledBoards(): BoardDraft[] {
  return printed.map((rows, index) => ({
    name: `Drawn up ${index + 1}`,
    maker: 'Works',
    kind: 'controller',
    massG: 8,
    widthMm: 36,
    heightMm: 36,
    thickMm: 3.4,
    holesMm: { patternMm: 30.5, drillMm: 4 },
    batteryV: [10, 26.1],
    rows: rows.map((labels, at): PadRow => ({
      edge: edges[at]!,
      side: 'top',
      pitchMm: 2.3,
      firstMm: null,
      padMm: [1.2, 1.9],
      connector: null,
      labels: labels.split(' '),
    })),
    placed: [],
    answers: {},
  }));
}
