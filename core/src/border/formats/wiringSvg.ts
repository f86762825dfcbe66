/**
 * The wiring of a build as one SVG sheet to print and pin up: each board from the catalogue's geometry, both sides
 * where both
 * are wired, and from each pad the wire in its true colour out to words that say where it leads. Text only; lengths in
 * mm.
 */
import type { WireBand } from '../../facts/wiring/wireBand';
import { wireBand } from '../../facts/wiring/wireBand';
import { emptyBuild } from '../../facts/assembly/build';
import { terminalOf } from '../../facts/catalogue/catalogue';
import type { PartModel, Side } from '../../facts/catalogue/partModel';
import type { XY } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import { padWords, terminalWords } from '../../facts/assembly/padWords';
import type { BoardWire } from '../../facts/wiring/boardWires';
import { boardsOf, boardWires } from '../../facts/wiring/boardWires';
import { hexOf } from '../../facts/wiring/wireHex';
import { edgeOf, span } from '../../physics/geometry/boardEdge';
import { escape, n, svgSheet } from './svg';
import { exitsOf, placeLeaders, sidesOf } from './leaders';
import type { Assembly } from '../../facts/assembly/assembly';
import { assemble } from '../../facts/assembly/assembly';

const sheet = { width: 200, board: 64, tall: 56, row: 4.4, lane: 1.1, words: 52, head: 8 };
const [ink, paper, copper] = ['#20262b', '#e2dccb', '#b9b19d'];

interface Block {
  svg: string;
  height: number;
}

/** The sheet as one SVG document; a build without wires on a board gives a sheet with its title alone. */
export function wiringSvg(assembly: Assembly, title: string): string {
  const stages = { start: assemble(emptyBuild, assembly.catalogue), asBuilt: assembly, target: assembly };
  const blocks = boardsOf(stages).flatMap((board) => {
    const model = assembly.model(board.slot)!;
    const wires = boardWires(board, stages);
    const sideOf = ({ terminal }: BoardWire): Side =>
      terminalOf(model, terminal)!.sides.includes('top') ? 'top' : 'bottom';
    return (['top', 'bottom'] as const).flatMap((side) => {
      const here = wires.filter((wire) => sideOf(wire) === side);
      return here.length > 0 ? [blockOf(assembly, { slot: board.slot, model, side, wires: here })] : [];
    });
  });
  let y = 14;
  const placed = blocks.map(({ svg, height }) => {
    const at = y;
    y += height;
    return `<g transform="translate(0 ${n(at)})">${svg}</g>`;
  });
  const words = `<rect width="100%" height="100%" fill="#ffffff"/><text x="6" y="9" font-size="5">${escape(title)}</text>`;
  return svgSheet({ title, wideMm: sheet.width, highMm: y + 6 }, `${words}\n${placed.join('\n')}`);
}

interface Drawn {
  slot: string;
  model: PartModel;
  side: Side;
  wires: readonly BoardWire[];
}

function blockOf(assembly: Assembly, { slot, model, side, wires }: Drawn): Block {
  const [spanX, spanY] = span(model);
  const scale = Math.min(sheet.board / spanX, sheet.tall / spanY, 4);
  const at = wires.map(({ terminal }) => terminalOf(model, terminal)!);
  const lanes = (['upper', 'lower'] as const).map(
    (edge) => at.filter((terminal) => edgeOf(terminal, model) === edge).length * sheet.lane,
  );
  const height = Math.max(spanY * scale + lanes[0]! + lanes[1]!, Math.ceil(wires.length / 2) * sheet.row) + 6;
  const [left, right] = [(sheet.width - sheet.board) / 2, (sheet.width + sheet.board) / 2];
  const centre: XY = [sheet.width / 2, sheet.head + height / 2];
  const mirror = side === 'bottom' ? -1 : 1;
  const place = ([x, y]: XY): XY => [centre[0] + mirror * x * scale, centre[1] - y * scale];
  const room = {
    leftX: left - 4,
    rightX: right + 4,
    top: sheet.head + 3,
    bottom: sheet.head + height - 3,
    row: sheet.row,
  };
  const pads = at.map(({ atMm }) => place(atMm));
  const sides = sidesOf(pads, room);
  const exits = exitsOf(
    pads,
    at.map((terminal) => edgeOf(terminal, model)),
    sides,
    { upperY: centre[1] - (spanY * scale) / 2, lowerY: centre[1] + (spanY * scale) / 2, lane: sheet.lane },
  );
  const leaders = placeLeaders(exits, sides, room);
  const lines = wires.map((wire, index) => {
    const { side: towards, y } = leaders[index]!;
    const out = towards === 'left' ? -1 : 1;
    const [bend, end] =
      towards === 'left' ? [room.leftX, sheet.words + 4] : [room.rightX, sheet.width - sheet.words - 4];
    const [pad, exit] = [pads[index]!, exits[index]!];
    const lane: XY[] =
      exit[1] === pad[1] ? [pad] : [pad, exit, [exit[0] + out * Math.min(4, Math.abs(bend - exit[0])), exit[1]]];
    const words = `${padWords(terminalRef(slot, wire.terminal), assembly)} to ${wire.other ? terminalWords(wire.other, assembly) : 'the air'}, ${wire.wire.awg} AWG`;
    return `${run([...lane, [bend, y], [end, y]], wire.wire.colour, wire.wire.awg)}<text x="${n(end + out * 1.6)}" y="${n(y + 1.1)}" font-size="3.1" text-anchor="${towards === 'left' ? 'end' : 'start'}">${escape(words)}</text>`;
  });
  const copperOf = model.terminals
    .filter((terminal) => terminal.sides.includes(side) && terminal.form !== 'tail')
    .map(({ atMm, sizeMm, printed }) => {
      const [x, y] = place(atMm);
      const [w, h] = [sizeMm[0] * scale, sizeMm[1] * scale];
      return `<rect x="${n(x - w / 2)}" y="${n(y - h / 2)}" width="${n(w)}" height="${n(h)}" fill="${copper}" stroke="${ink}" stroke-width="0.15"><title>${escape(printed)}</title></rect>`;
    });
  const outline = `<path d="M${model.body.outlineMm.map((corner) => place(corner).map(n).join(' ')).join('L')}Z" fill="${paper}" stroke="${ink}" stroke-width="0.4"/>`;
  const message = `${slot}: ${model.name}, ${side === 'top' ? 'top side' : 'underside'}${arrowWords(model, place)}`;
  return {
    svg: `<text x="6" y="4" font-size="4" font-weight="bold">${escape(message)}</text>${outline}${copperOf.join('')}${arrowSvg(model, place)}${lines.join('')}`,
    height: height + sheet.head + 4,
  };
}

const widthMm: Readonly<Record<WireBand, number>> = { thick: 1.1, medium: 0.85, thin: 0.65 };

/** A wire with an edge, so that every colour is seen on paper. */
function run(points: readonly XY[], colour: string, awg: number): string {
  const width = widthMm[wireBand(awg)];
  const path = `M${points.map((point) => point.map(n).join(' ')).join('L')}`;
  return `<path d="${path}" fill="none" stroke="${ink}" stroke-width="${n(width + 0.4)}" stroke-linejoin="round"/><path d="${path}" fill="none" stroke="${hexOf(colour)}" stroke-width="${width}" stroke-linejoin="round"/>`;
}

function arrowWords(model: PartModel, place: (at: XY) => XY): string {
  if (model.body.arrowDeg === null) return '';
  const [from, to] = ends(model, place);
  const [x, y] = [to[0] - from[0], to[1] - from[1]];
  return `, arrow ${turnOf(x, y)}`;
}

function turnOf(x: number, y: number) {
  if (Math.abs(x) > Math.abs(y)) {
    if (x > 0) return 'to the right';
    return 'to the left';
  }
  if (y < 0) return 'up';
  return 'down';
}

function arrowSvg(model: PartModel, place: (at: XY) => XY): string {
  if (model.body.arrowDeg === null) return '';
  const [[x1, y1], [x2, y2]] = ends(model, place);
  const turn = Math.atan2(y2 - y1, x2 - x1);
  const wing = (by: number) =>
    `L${n(x2 - 2.4 * Math.cos(turn + by))} ${n(y2 - 2.4 * Math.sin(turn + by))}M${n(x2)} ${n(y2)}`;
  return `<path d="M${n(x1)} ${n(y1)}L${n(x2)} ${n(y2)}${wing(0.6)}${wing(-0.6)}" fill="none" stroke="${ink}" stroke-width="0.5" opacity="0.5"/>`;
}

function ends({ body: { arrowDeg } }: PartModel, place: (at: XY) => XY): [XY, XY] {
  const turn = ((arrowDeg ?? 90) * Math.PI) / 180;
  return [place([-3 * Math.cos(turn), -3 * Math.sin(turn)]), place([3 * Math.cos(turn), 3 * Math.sin(turn)])];
}
