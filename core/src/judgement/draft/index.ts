/** Part models drawn up at the bench: a board from its labels, a frame from its measurements. */
export type { BoardDraft, Edge, PadRow } from './boardDraft';
export { photoScale, splitLabels } from './boardDraft';
export type { Drafted } from './draftModel';
export { draftModel } from './draftModel';
export { draftFrame } from './draftFrame';
export type { DraftOpening, DraftPlace, FrameDraft } from './frameDraft';
export { draftPlaceKinds, draftSides, motorPatterns } from './frameDraft';
export type { Signature } from './signature';
export { applySignature, firstMeasures, measuredWords } from './signature';
