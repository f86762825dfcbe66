/** Eight builds of all families, wired by hand; with the shipped templates they are what the rules are measured on. */
import type { HandWired } from './wireByHand';

const motors = (count: number, esc: (motor: number) => string, phases: (motor: number) => readonly string[]) =>
  Array.from({ length: count }, (_, index) =>
    ['A', 'B', 'C'].map((lead, at) => `M${index + 1}.${lead}>${esc(index + 1)}.${phases(index + 1)[at]}`),
  )
    .flat()
    .join(' ');
const onBoard = (esc: string) =>
  motors(
    4,
    () => esc,
    (motor) => [`A${motor}`, `B${motor}`, `C${motor}`],
  );
const ownEsc = (count: number) =>
  motors(
    count,
    (motor) => `ESC${motor}`,
    () => ['A', 'B', 'C'],
  );
const each = (count: number, text: (motor: number) => string, between = ' ') =>
  Array.from({ length: count }, (_, index) => text(index + 1)).join(between);
const fitted = (count: number, slot: string, model: string) =>
  Object.fromEntries(Array.from({ length: count }, (_, index) => [`${slot}${index + 1}`, model]));
const motorLinks = (count: number, esc: (motor: number) => string) =>
  each(count, (motor) => `motor M${motor}/PH ${esc(motor)}`, ';');

export const handWired: readonly HandWired[] = [
  {
    name: 'analogue 4S on a small stack, inverted receiver',
    slots: {
      BAT: 'burr-lead-16',
      CAP: 'gorse-cap-470-50',
      ESC: 'phalarope-esc-25',
      FC: 'sanderling-fc-20',
      RX: 'scoter-rx-i',
      VTX: 'tern-vtx-5',
      CAM: 'smew-cam-5',
      BZ: 'corncrake-bz-5',
      ANT: 'reed-ant-lolly',
      ...fitted(4, 'M', 'marl-motor-1404'),
    },
    cells: [4, 4],
    wires: `BAT.PLUS>ESC.BP BAT.MINUS>ESC.BM CAP.PLUS>ESC.BP CAP.MINUS>ESC.BM ${onBoard('ESC')} RX.VIN>FC.5V RX.GND>FC.G RX.SB>FC.SBUS
      VTX.VIN>FC.5V2 VTX.GND>FC.G3 VTX.VID>FC.VTX VTX.CTL>FC.TX3 BZ.PLUS>FC.BZP BZ.MINUS>FC.BZM`,
    leads: 'ESC.J1>FC.J1 CAM.J1>FC.5V3,FC.G2,FC.CAM',
    mates: 'VTX.ANT=ANT.PLUG',
    links: `receiver RX/LINK FC/UART2I; camera CAM/VIDEO FC/CAMIN; video VTX/VIDEO FC/VIDOUT; control VTX/CTRL FC/UART3; buzzer BZ/BUZZ FC/BUZZ; ${motorLinks(4, (motor) => `ESC/MOT${motor}`)}; ${each(4, (motor) => `signal ESC/SIG${motor} FC/OUT${motor}`, ';')}`,
  },
  {
    name: 'separate ESCs on a distribution board, 3.3 V receiver',
    slots: {
      BAT: 'burr-lead-12',
      CAP: 'gorse-cap-680',
      PDB: 'sluice-pdb-4',
      FC: 'turnstone-fc-36',
      RX: 'goldeneye-rx-33',
      VTX: 'kittiwake-vtx-26',
      CAM: 'gadwall-cam-26',
      ANT: 'reed-ant-lolly',
      ...fitted(4, 'ESC', 'whimbrel-esc-30'),
      ...fitted(4, 'M', 'marl-motor-2207'),
    },
    cells: [4, 4],
    wires: `BAT.PLUS>PDB.BP BAT.MINUS>PDB.BM CAP.PLUS>PDB.BP CAP.MINUS>PDB.BM ${each(4, (motor) => `ESC${motor}.BP>PDB.E${motor}P ESC${motor}.BM>PDB.E${motor}M`)}
      ${each(4, (motor) => `ESC${motor}.SIG>FC.S${motor}`)} ESC1.SG>FC.G ESC2.SG>FC.G2 ESC3.SG>FC.G ESC4.SG>FC.G2 ${ownEsc(4)} FC.VBAT>PDB.VBF FC.G7>PDB.GF
      RX.VIN>FC.3V3 RX.GND>FC.G3 RX.TX>FC.RX3 RX.RX>FC.TX3 VTX.VIN>PDB.VBF VTX.GND>PDB.GF VTX.VID>FC.VTX VTX.CTL>FC.TX4 VTX.GND2>FC.G5`,
    leads: 'CAM.J1>FC.10V,FC.G4,FC.CAM',
    mates: 'VTX.ANT=ANT.PLUG',
    links: `receiver RX/LINK FC/UART3; camera CAM/VIDEO FC/CAMIN; video VTX/VIDEO FC/VIDOUT; control VTX/CTRL FC/UART4; ${motorLinks(4, (motor) => `ESC${motor}/MOT1`)}; ${each(4, (motor) => `signal ESC${motor}/SIG1 FC/OUT${motor}`, ';')}`,
  },
  {
    name: 'flat six with positioning',
    slots: {
      FRAME: 'hazel-frame-hex',
      BAT: 'burr-lead-10',
      CAP: 'gorse-cap-1000-35',
      PDB: 'weir-pdb-8',
      FC: 'ruff-fc-40',
      RX: 'dunlin-rx-2',
      GPS: 'petrel-gps-25',
      BZ: 'nightjar-bz-cell',
      ...fitted(6, 'ESC', 'avocet-esc-50'),
      ...fitted(6, 'M', 'marl-motor-3115'),
    },
    cells: [6, 6],
    wires: `BAT.PLUS>PDB.BP BAT.MINUS>PDB.BM CAP.PLUS>PDB.BP CAP.MINUS>PDB.BM ${each(6, (motor) => `ESC${motor}.BP>PDB.E${motor}P ESC${motor}.BM>PDB.E${motor}M ESC${motor}.SIG>FC.S${motor} ESC${motor}.SG>FC.G${motor === 1 ? '' : motor}`)}
      ${ownEsc(6)} FC.VBAT>PDB.VBF FC.G12>PDB.GF RX.5V>FC.5V RX.GND>FC.G8 RX.TX>FC.RX2 RX.RX>FC.TX2 BZ.5V>FC.5V2 BZ.GND>FC.G10 BZ.BZM>FC.BZM`,
    leads: 'GPS.J1>FC.5V3,FC.RX3,FC.TX3,FC.SDA,FC.SCL,FC.G11',
    links: `receiver RX/LINK FC/UART2; positioning GPS/LINK FC/UART3; compass GPS/MAG FC/I2C1; buzzer BZ/BUZZ FC/BUZZ; ${motorLinks(6, (motor) => `ESC${motor}/MOT1`)}; ${each(6, (motor) => `signal ESC${motor}/SIG1 FC/OUT${motor}`, ';')}`,
  },
  {
    name: 'all plugs, digital video on 9 V',
    slots: {
      BAT: 'burr-lead-10',
      CAP: 'gorse-cap-470-50',
      ESC: 'dotterel-esc-60',
      FC: 'godwit-fc-40',
      VTX: 'egret-dvu-9',
      CAM: 'wigeon-cam-d',
      GPS: 'fulmar-gps-18',
      RX: 'dunlin-rx-2',
      LED: 'teasel-light-4',
      ANT1: 'reed-ant-dipole',
      ANT2: 'reed-ant-dipole',
      ...fitted(4, 'M', 'marl-motor-3115'),
    },
    cells: [6, 6],
    wires: `BAT.PLUS>ESC.BP BAT.MINUS>ESC.BM CAP.PLUS>ESC.BP CAP.MINUS>ESC.BM ${onBoard('ESC')}`,
    leads:
      'ESC.J1>FC.J1 GPS.J1>FC.J4@1,3,2,4 FC.J8>RX.5V,RX.GND,RX.RX,RX.TX FC.J7>LED.5V,LED.GND,LED.DIN,-,- FC.J3>VTX.J1',
    mates: 'CAM.CAM=VTX.CAM VTX.ANT=ANT1.PLUG VTX.ANT2=ANT2.PLUG',
    links: `receiver RX/LINK FC/UART6; positioning GPS/LINK FC/UART3; video VTX/LINK FC/UART1; lights LED/DATA FC/LIGHTS; ${motorLinks(4, (motor) => `ESC/MOT${motor}`)}; ${each(4, (motor) => `signal ESC/SIG${motor} FC/OUT${motor}`, ';')}`,
  },
  {
    name: 'analogue 6S, lights behind a box',
    slots: {
      BAT: 'burr-lead-12',
      CAP: 'gorse-cap-680',
      ESC: 'lapwing-esc-45',
      FC: 'curlew-fc-30',
      RX: 'pochard-rx-d',
      VTX: 'kittiwake-vtx-26',
      CAM: 'gadwall-cam-26',
      BOX: 'bittern-lightbox',
      LED: 'teasel-light-8',
      ANT: 'reed-ant-lolly',
      BZ: 'corncrake-bz-5',
      ...fitted(4, 'M', 'marl-motor-2207'),
    },
    cells: [6, 6],
    wires: `BAT.PLUS>ESC.BP BAT.MINUS>ESC.BM CAP.PLUS>ESC.BP CAP.MINUS>ESC.BM ${onBoard('ESC')} RX.VIN>FC.5V RX.GND>FC.G RX.TX>FC.RX1 RX.RX>FC.TX1
      VTX.VIN>FC.VBAT VTX.GND>FC.G5 VTX.VID>FC.VTX VTX.CTL>FC.TX4 BOX.VIN>ESC.VB2 BOX.GND>ESC.G2 BOX.IN>FC.LED LED.5V>BOX.5V LED.GND>BOX.G2 LED.DIN>BOX.DO BZ.PLUS>FC.BZP BZ.MINUS>FC.BZM`,
    leads: 'ESC.J1>FC.J1 CAM.J1>FC.9V,FC.G4,FC.CAM',
    mates: 'VTX.ANT=ANT.PLUG',
    links: `receiver RX/LINK FC/UART1; camera CAM/VIDEO FC/CAMIN; video VTX/VIDEO FC/VIDOUT; control VTX/CTRL FC/UART4; lights BOX/CTRL FC/LIGHTS; strip LED/DATA BOX/OUT; buzzer BZ/BUZZ FC/BUZZ; ${motorLinks(4, (motor) => `ESC/MOT${motor}`)}; ${each(4, (motor) => `signal ESC/SIG${motor} FC/OUT${motor}`, ';')}`,
  },
  {
    name: 'brushed one-cell board',
    slots: { BAT: 'burr-lead-16', FC: 'stint-board-26', RX: 'dunlin-rx-2', ...fitted(4, 'M', 'marl-motor-8520') },
    cells: [1, 1],
    wires: `BAT.PLUS>FC.BP BAT.MINUS>FC.BM ${each(4, (motor) => `M${motor}.PLUS>FC.M${motor}P M${motor}.MINUS>FC.M${motor}M`)} RX.5V>FC.5V RX.GND>FC.G RX.TX>FC.RX1 RX.RX>FC.TX1`,
    links: `receiver RX/LINK FC/UART1; ${motorLinks(4, (motor) => `FC/MOT${motor}`)}`,
  },
  {
    name: 'one-board stack with analogue video, 4S',
    slots: {
      BAT: 'burr-lead-16',
      CAP: 'gorse-cap-330-25',
      FC: 'knot-board-33',
      RX: 'goldeneye-rx-33',
      REG: 'bulrush-reg-5',
      VTX: 'tern-vtx-5',
      CAM: 'smew-cam-5',
      ANT: 'reed-ant-lolly',
      GPS: 'petrel-gps-25',
      ...fitted(4, 'M', 'marl-motor-1404'),
    },
    cells: [4, 4],
    wires: `BAT.PLUS>FC.BP BAT.MINUS>FC.BM CAP.PLUS>FC.BP CAP.MINUS>FC.BM ${onBoard('FC')} REG.VIN>FC.BP REG.GIN>FC.BM VTX.VIN>REG.VOUT VTX.GND>REG.GOUT VTX.VID>FC.VTX VTX.CTL>FC.TX4`,
    leads: 'CAM.J1>FC.5V,FC.G2,FC.CAM GPS.J1>FC.5V,FC.RX1,FC.TX1,FC.SDA,FC.SCL,FC.G',
    mates: 'VTX.ANT=ANT.PLUG',
    links: `camera CAM/VIDEO FC/CAMIN; video VTX/VIDEO FC/VIDOUT; control VTX/CTRL FC/UART4; positioning GPS/LINK FC/UART1; compass GPS/MAG FC/I2C1; ${motorLinks(4, (motor) => `FC/MOT${motor}`)}`,
  },
  {
    name: 'pads throughout, 10 V camera, positioning and lights',
    slots: {
      BAT: 'burr-lead-12',
      CAP: 'gorse-cap-1000-35',
      ESC: 'lapwing-esc-45',
      FC: 'plover-fc-36',
      RX: 'scoter-rx-i',
      VTX: 'tern-vtx-5',
      CAM: 'gadwall-cam-26',
      GPS: 'petrel-gps-25',
      LED: 'teasel-light-8',
      BZ: 'nightjar-bz-cell',
      ANT: 'reed-ant-lolly',
      ...fitted(4, 'M', 'marl-motor-2207'),
    },
    cells: [5, 6],
    wires: `BAT.PLUS>ESC.BP BAT.MINUS>ESC.BM CAP.PLUS>ESC.BP CAP.MINUS>ESC.BM ${onBoard('ESC')} RX.VIN>FC.5V5 RX.GND>FC.G9 RX.SB>FC.SBUS VTX.VIN>FC.5V3 VTX.GND>FC.G5 VTX.VID>FC.VTX VTX.CTL>FC.TX3
      LED.5V>FC.5V4 LED.GND>FC.G6 LED.DIN>FC.LED BZ.5V>FC.5V1 BZ.GND>FC.G1 BZ.BZM>FC.BZM`,
    leads: 'ESC.J1>FC.J1 CAM.J1>FC.10V1,FC.G4,FC.CAM GPS.J1>FC.5V2,FC.RX1,FC.TX1,FC.SDA,FC.SCL,FC.G2',
    mates: 'VTX.ANT=ANT.PLUG',
    links: `receiver RX/LINK FC/UART5I; camera CAM/VIDEO FC/CAMIN; video VTX/VIDEO FC/VIDOUT; control VTX/CTRL FC/UART3; positioning GPS/LINK FC/UART1; compass GPS/MAG FC/I2C1; lights LED/DATA FC/LIGHTS; buzzer BZ/BUZZ FC/BUZZ; ${motorLinks(4, (motor) => `ESC/MOT${motor}`)}; ${each(4, (motor) => `signal ESC/SIG${motor} FC/OUT${motor}`, ';')}`,
  },
];
