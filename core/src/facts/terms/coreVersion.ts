/** Stands in every reading: which core judged it. */
export const coreVersion = '0.4.0';
