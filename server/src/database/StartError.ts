/** Something that keeps the shop from starting, in one line for the person at the terminal. */
export class StartError extends Error {
  override name = 'StartError';
}
