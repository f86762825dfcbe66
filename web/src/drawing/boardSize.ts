/** The room a drawing has inside a hand's panel, in its own units. */
export const boardSize = { width: 492, height: 362 };
