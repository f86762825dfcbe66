/** What every SVG sheet has: its frame in millimetres, numbers and words as they may stand in it. */

/** @param inside Drawn in mm, from the upper left corner. */
export function svgSheet({ title, wideMm, highMm }: { title: string; wideMm: number; highMm: number }, inside: string) {
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${n(wideMm)} ${n(highMm)}" width="${n(wideMm)}mm" height="${n(highMm)}mm" font-family="sans-serif"><title>${escape(title)}</title>\n${inside}\n</svg>\n`;
}

/** Hundredths of a millimetre are enough. */
export function n(value: number): string {
  return String(Math.round(value * 100) / 100);
}

export function escape(text: string): string {
  return text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
}
