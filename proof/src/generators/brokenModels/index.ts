/**
 * Kinds of fault in a part model: what somebody swaps, leaves out, scales or contradicts when a model is entered. Each
 * breaks a copy of a model where that has room for it. Shares nothing with the checks.
 */
import { faultsOfElectrics } from './electrics';
import { faultsOfShape } from './shape';

export const kindsOfFault = { ...faultsOfShape, ...faultsOfElectrics };
