/** How much power an aircraft is under. */

export type PowerStage = 'off' | 'usb' | 'limited, dear units unplugged' | 'limited, all' | 'pack';
