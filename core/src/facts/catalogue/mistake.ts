/** Something that cannot be in a part model, with its place. */
export interface ModelMistake {
  /** Where in the model: `terminals.3.atMm`. */
  path: string;
  code: string;
  message: string;
}

export function mistake(path: string, code: string, message: string): ModelMistake {
  return { path, code: `model.${code}`, message };
}
