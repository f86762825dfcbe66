/** How much power an aircraft is under. */

export type PowerStage = 'off' | 'usb' | 'limited, dear units unplugged' | 'limited, all' | 'pack';

/** Seconds of limited power after which everything has shown itself that will: a starting value. */
export const limitedPowerS = 300;

/** Seconds from its asking for which a permit holds: long enough to walk to the pack, too short to forget why. */
export const permitS = 900;
