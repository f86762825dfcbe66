/**
 * Set-up sheet: what the software of the aircraft must be told so that it mirrors the wiring. One line a setting, with
 * a key in our own words, the value that the wiring demands, and where it comes from.
 */
import type { Catalogue } from '../../facts/catalogue/catalogue';
import { alignmentOf, tiltSigns } from '../../physics/motors/alignment';
import { motorMap } from '../../physics/motors/motorMap';
import type { PlanDraft } from '../../facts/plan/plan';
import { assemble } from '../../facts/assembly/assembly';
import type { Assembly } from '../../facts/assembly/assembly';
import { isController } from '../../facts/catalogue/kinds';
import { localLawOf } from './localLaw';
import { lookUp } from '../../facts/terms/lookUp';

export interface SheetLine {
  key: string;
  /** null: to be measured or asked; there is nothing to compare with. */
  value: string | null;
  group: 'ports' | 'receiver' | 'video' | 'motors' | 'board' | 'battery' | 'safety' | 'taste';
  because: string;
}

const warnVoltsPerCell = 3.5;
const landVoltsPerCell = 3.3;
/** What a port is for, as the sheet calls it. */
const uses: Readonly<Record<string, string>> = {
  serialReceiver: 'receiver',
  positioning: 'positioning',
  control: 'video control',
  video: 'on-screen data',
  escTelemetry: 'ESC telemetry',
};

export function setupSheet(plan: PlanDraft, catalogue: Catalogue): SheetLine[] {
  const assembly = assemble(plan.target, catalogue);
  return [
    ...ports(plan, assembly),
    ...receiver(plan, assembly),
    ...video(plan),
    ...law(plan),
    ...motors(plan, assembly),
    ...board(assembly),
    ...battery(plan),
    ...safety(plan),
  ];
}

function ports({ target, links }: PlanDraft, assembly: Assembly): SheetLine[] {
  return Object.keys(target.slots).flatMap((slot) => {
    const model = assembly.model(slot)!;
    if (!isController(model.kind)) return [];
    return model.ports
      .filter(({ kind }) => kind === 'serial')
      .map(({ id }): SheetLine => {
        const link = links.find(({ ends }) => ends.some((end) => end.slot === slot && end.port === id));
        const user = link?.ends.find((end) => end.slot !== slot)?.slot;
        const use = link ? `${lookUp(uses, String(link.set.protocol)) ?? link.purpose} (${user})` : 'off';
        return {
          key: `port ${id.toLowerCase()}`,
          value: use,
          group: 'ports',
          because: link ? `${link.purpose}: ${link.wires.join(', ')}` : 'nothing is wired to it',
        };
      });
  });
}

function receiver({ links }: PlanDraft, assembly: Assembly): SheetLine[] {
  return links
    .filter(({ set }) => set.protocol === 'serialReceiver')
    .flatMap((link, index): SheetLine[] => {
      const [own, host] = link.ends;
      const name = index === 0 ? 'receiver' : `receiver ${index + 1}`;
      const port = own && assembly.model(own.slot)?.ports.find(({ id }) => id === own.port);
      const back = assembly
        .model(own?.slot ?? '')
        ?.terminals.some(({ roles }) =>
          roles.some((role) => role.is === 'port' && role.port === port?.id && role.pin === 'rx'),
        );
      return [
        { key: `${name} port`, value: host ? host.port.toLowerCase() : null, group: 'receiver', because: link.purpose },
        {
          key: `${name} signal`,
          value: port?.inversion === 'inverted' ? 'inverted' : 'plain',
          group: 'receiver',
          because: `what the part in ${own?.slot} sends`,
        },
        {
          key: `${name} telemetry`,
          value: back && !link.purpose.includes('control only') ? 'on' : 'off',
          group: 'receiver',
          because: back ? 'both data wires are there' : 'it only sends',
        },
      ];
    });
}

function law({ schools }: PlanDraft): SheetLine[] {
  const { region, transmitMw } = localLawOf(schools);
  const because = 'the local law: kept as it was answered';
  return [
    { key: 'region', value: region, group: 'receiver', because },
    { key: 'transmit mW at most', value: transmitMw, group: 'video', because },
  ];
}

function video({ links }: PlanDraft): SheetLine[] {
  const control = links.find(({ set }) => set.protocol === 'control' || set.protocol === 'video');
  const host = control?.ends[1];
  if (!control || !host)
    return [
      {
        key: 'video control',
        value: 'none',
        group: 'video',
        because: 'no wire goes from the video unit to a data port',
      },
    ];
  const over = control.purpose.includes('over the receiver');
  return [
    {
      key: 'video control',
      value: over ? 'receiver output' : host.port.toLowerCase(),
      group: 'video',
      because: control.purpose,
    },
  ];
}

function motors({ schools }: PlanDraft, assembly: Assembly): SheetLine[] {
  const convention = schools['turning senses'] === 'reversed' ? 'reversed' : 'normal';
  const places = motorMap(assembly, convention);
  const own = places.some(({ channel }) => channel && assembly.model(channel.slot)!.kind === 'esc');
  const lines = places.flatMap(({ corner, where, output, sense, channel }): SheetLine[] => [
    {
      key: `motor ${corner} output`,
      value: output === null ? null : String(output),
      group: 'motors',
      because: channel ? `${where}: its leads are on ${channel.slot} channel ${channel.index}` : `${where}: not wired`,
    },
    {
      key: `motor ${corner} turns`,
      value: sense,
      group: 'motors',
      because: `${where}, by the airframe's table, ${convention}`,
    },
  ]);
  return own
    ? [
        ...lines,
        {
          key: 'ESC end points',
          value: null,
          group: 'motors',
          because: 'with digital outputs none are set; else all ESCs alike, before the motors are joined',
        },
      ]
    : lines;
}

function board(assembly: Assembly): SheetLine[] {
  const alignment = alignmentOf(assembly);
  if (!alignment) return [];
  const [nose, right] = tiltSigns(alignment);
  const felt = (tilt: typeof nose) => (tilt ? `${tilt.board.polarity > 0 ? 'plus' : 'minus'} ${tilt.board.axis}` : '');
  return [
    {
      key: 'board turned',
      value: alignment.known ? `${alignment.yawDeg}` : null,
      group: 'board',
      because: `degrees clockwise; without it nose down shows as ${felt(nose)}`,
    },
    {
      key: 'board upside down',
      value: alignment.upsideDown ? 'yes' : 'no',
      group: 'board',
      because: `without it right side down shows as ${felt(right)}`,
    },
  ];
}

function battery({ cells }: PlanDraft): SheetLine[] {
  const volts = (perCell: number) => (cells[1] * perCell).toFixed(1);
  return [
    {
      key: 'battery cells',
      value: String(cells[1]),
      group: 'battery',
      because: 'most cells of the packs that are used',
    },
    {
      key: 'battery warns below',
      value: volts(warnVoltsPerCell),
      group: 'battery',
      because: `${warnVoltsPerCell} V a cell`,
    },
    {
      key: 'battery lands below',
      value: volts(landVoltsPerCell),
      group: 'battery',
      because: `${landVoltsPerCell} V a cell`,
    },
    { key: 'battery volt scale', value: null, group: 'battery', because: 'set against the meter at the plug' },
    { key: 'battery current scale', value: null, group: 'battery', because: 'scale and offset of this ESC’s shunt' },
  ];
}

function safety({ schools }: PlanDraft): SheetLine[] {
  return [
    {
      key: 'loss of signal',
      value: schools['loss of signal'] ?? null,
      group: 'safety',
      because: 'what it does when the link is gone: agreed with the customer',
    },
    {
      key: 'arm guard',
      value: schools['arm guard'] ?? 'on',
      group: 'safety',
      because: 'two movements to arm, so that none happens by accident',
    },
    ...Object.entries(schools)
      .filter(([key]) => key.startsWith('taste '))
      .map(([key, value]): SheetLine => ({
        key: key.slice('taste '.length),
        value,
        group: 'taste',
        because: 'the customer’s own wish',
      })),
  ];
}
