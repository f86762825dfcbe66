export { Fault } from './modes/Fault';
export { Looking } from './modes/Looking';
export { NoSuchPlace } from './modes/NoSuchPlace';
export { Now } from './modes/Now';
export { OtherPad } from './modes/OtherPad';
export { Problem, WhatToDo } from './modes/Problem';
export { TakeBack } from './modes/TakeBack';
export { Why } from './modes/Why';
