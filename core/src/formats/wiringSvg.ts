/**
 * A build as an SVG drawing: boards and parts side by side to one scale with their pads, wires in their true colours
 * between them. Text only, no interface code; lengths in mm. Colours are plain CSS names or hex.
 */
import type { Build } from '../build/build';
import type { Catalogue } from '../catalogue/catalogue';
import { modelIn } from '../catalogue/catalogue';
import type { TerminalRef } from '../names';
import { terminalRef } from '../names';
import { terminalUnder } from '../wiring/terminalUnder';

const gapMm = 24;
const perRow = 4;
const colours: Readonly<Record<string, string>> = { red: '#c0281f', black: '#1d1f21', white: '#fbfbf7', grey: '#8b8f93', yellow: '#e8c22c', green: '#2f8a46', blue: '#2a5caa', violet: '#7a4a9e', orange: '#d9761e', brown: '#6d4427', tinned: '#b9bdbf' };

/** The drawing as one SVG document. */
export function wiringSvg(build: Build, catalogue: Catalogue, title: string): string {
  const slots = Object.keys(build.slots).filter((slot) => modelIn(build, slot, catalogue)!.terminals.length > 0);
  const boxes = new Map<string, { x: number; y: number; w: number; h: number; left: number; top: number }>();
  const at = new Map<TerminalRef, { x: number; y: number }>();
  let [x, y, tall] = [gapMm, gapMm, 0];
  slots.forEach((slot, index) => {
    const { body, terminals } = modelIn(build, slot, catalogue)!;
    const xs = [...body.outlineMm.map(([one]) => one), ...terminals.map(({ atMm }) => atMm[0])];
    const ys = [...body.outlineMm.map(([, one]) => one), ...terminals.map(({ atMm }) => atMm[1])];
    const [left, right, low, high] = [Math.min(...xs) - 2, Math.max(...xs) + 2, Math.min(...ys) - 2, Math.max(...ys) + 2];
    if (index > 0 && index % perRow === 0) [x, y, tall] = [gapMm, y + tall + gapMm, 0];
    boxes.set(slot, { x, y, w: right - left, h: high - low, left, top: high });
    for (const { id, atMm } of terminals) at.set(terminalRef(slot, id), { x: x + atMm[0] - left, y: y + high - atMm[1] });
    x += right - left + gapMm;
    tall = Math.max(tall, high - low);
  });
  const width = Math.max(100, ...[...boxes.values()].map((box) => box.x + box.w)) + gapMm;
  const height = y + tall + gapMm;
  const parts = slots.map((slot) => {
    const { x: left, y: top, w, h } = boxes.get(slot)!;
    const pads = modelIn(build, slot, catalogue)!.terminals.map(({ id, printed, sizeMm }) => {
      const place = at.get(terminalRef(slot, id))!;
      return `<rect x="${n(place.x - sizeMm[0] / 2)}" y="${n(place.y - sizeMm[1] / 2)}" width="${n(sizeMm[0])}" height="${n(sizeMm[1])}" fill="#b9b19d"><title>${escape(`${slot}.${id} ${printed}`)}</title></rect>`;
    });
    return `<g><rect x="${n(left)}" y="${n(top)}" width="${n(w)}" height="${n(h)}" rx="1.5" fill="#e2dccb" stroke="#20262b" stroke-width="0.4"/><text x="${n(left)}" y="${n(top - 2)}" font-size="5" font-family="sans-serif">${escape(slot)}</text>${pads.join('')}</g>`;
  });
  const wires = Object.values(build.wires).flatMap((wire) => {
    const [a, b] = wire.ends.map((end) => at.get(terminalUnder(build, end, catalogue) ?? ('.' as TerminalRef)));
    if (!a || !b) return [];
    const bow = Math.max(8, Math.abs(b.x - a.x) / 3);
    const path = `M${n(a.x)} ${n(a.y)}C${n(a.x + bow)} ${n(a.y - bow)} ${n(b.x - bow)} ${n(b.y - bow)} ${n(b.x)} ${n(b.y)}`;
    return [`<path d="${path}" fill="none" stroke="#20262b" stroke-width="1.1"/><path d="${path}" fill="none" stroke="${colours[wire.colour] ?? '#8b8f93'}" stroke-width="0.8"><title>${escape(`${wire.id}, ${wire.awg} AWG ${wire.colour}`)}</title></path>`];
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${n(width)} ${n(height)}" width="${n(width)}mm" height="${n(height)}mm"><title>${escape(title)}</title>\n${[...parts, ...wires].join('\n')}\n</svg>\n`;
}

function n(value: number): string {
  return String(Math.round(value * 100) / 100);
}

function escape(text: string): string {
  return text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
}
