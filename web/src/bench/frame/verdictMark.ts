/** What stands beside the word of a margin, by its form. */
import type { MarginVerdict } from '@junctor/core';

export const verdictMark: Readonly<Record<MarginVerdict, string>> = { go: '●', tight: '◐', no: '▲', 'not known': '○' };
