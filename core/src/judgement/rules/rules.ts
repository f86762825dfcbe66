/** All rules, in the order in which they are told when equally grave. */
import { aerialKind } from './aerialKind';
import { aerialMissing } from './aerialMissing';
import { capacitorMissing } from './capacitorMissing';
import { drivenWhileOff } from './drivenWhileOff';
import { regulatorHeat } from './regulatorHeat';
import { capacitorLegs } from './capacitorLegs';
import { capacitorMargin } from './capacitorMargin';
import { capacitorPlace } from './capacitorPlace';
import { compassPullUps } from './compassPullUps';
import { direction } from './direction';
import type { Rule } from './finding';
import { gauge } from './gauge';
import { groundMissing } from './groundMissing';
import { groundThroughPlug } from './groundThroughPlug';
import { halfWired } from './halfWired';
import { inversion } from './inversion';
import { linkOpen } from './linkOpen';
import { motorCurrent } from './motorCurrent';
import { motorPhases } from './motorPhases';
import { motorTurns } from './motorTurns';
import { noMotorSignal } from './noMotorSignal';
import { noSupply } from './noSupply';
import { notSwitchedOn } from './notSwitchedOn';
import { onePerPort } from './onePerPort';
import { padFull } from './padFull';
import { plugContact } from './plugContact';
import { plugForced } from './plugForced';
import { polarity } from './polarity';
import { portTaken } from './portTaken';
import { powerGround } from './powerGround';
import { regulatorLoad } from './regulatorLoad';
import { signalGround } from './signalGround';
import { signalLevel } from './signalLevel';
import { splitPort } from './splitPort';
import { straightThrough } from './straightThrough';
import { suppliesJoined } from './suppliesJoined';
import { supplyOutOfRange } from './supplyOutOfRange';
import { tooManyVolts } from './tooManyVolts';
import { touching } from './touching';
import { twoDrivers } from './twoDrivers';
import { unusedConductor } from './unusedConductor';
import { videoGround } from './videoGround';
import { wireColours } from './wireColours';
import { wireTooThick } from './wireTooThick';
import { wrongKindOfPad } from './wrongKindOfPad';
import { lookUp } from '../../facts/terms/lookUp';

export const rules: readonly Rule[] = [
  polarity,
  tooManyVolts,
  supplyOutOfRange,
  touching,
  noSupply,
  notSwitchedOn,
  drivenWhileOff,
  powerGround,
  groundMissing,
  groundThroughPlug,
  signalGround,
  suppliesJoined,
  straightThrough,
  wrongKindOfPad,
  splitPort,
  onePerPort,
  inversion,
  twoDrivers,
  direction,
  halfWired,
  linkOpen,
  noMotorSignal,
  motorPhases,
  motorTurns,
  motorCurrent,
  compassPullUps,
  videoGround,
  portTaken,
  regulatorLoad,
  regulatorHeat,
  padFull,
  wireTooThick,
  gauge,
  plugContact,
  plugForced,
  aerialMissing,
  aerialKind,
  capacitorMissing,
  capacitorPlace,
  capacitorMargin,
  capacitorLegs,
  signalLevel,
  unusedConductor,
  wireColours,
];

/** Findings that a rule makes under another name than its own. */
const alsoFoundBy: Readonly<Record<string, Rule>> = {
  'motor outputs': motorPhases,
  'port not as named': linkOpen,
  'boot loader port': portTaken,
  'boot pin': unusedConductor,
};

/** Why a rule exists, in a technician's words. */
export function whyRule(name: string): string {
  return (lookUp(alsoFoundBy, name) ?? rules.find((rule) => rule.name === name))?.why ?? '';
}
