/** What an aircraft weighs, where its centre lies, and what follows from both. */
export { balanceOf } from './balance';
export type { Flying } from './flying';
export { flyingWith } from './flying';
export { packPlace } from './packPlace';
export { centreWords, packWords, thrustWords } from './massWords';
export { weighedIn } from './weighedIn';
export type { WeightClass } from './weightClass';
export { weightClassOf } from './weightClass';
