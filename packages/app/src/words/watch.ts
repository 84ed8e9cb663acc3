import type { Advice, WatchReason } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { duration, hoursText } from './air';
import { pressure, pressureFine, timeOfDay } from './format';

export const ADVICE_WORDS: Record<Advice, string> = {
  stopNow: 'Stop now',
  slowDown: 'Slow down',
  pumpUp: 'Pump it up',
  lowerAgain: 'Lower it again',
  leaveIt: 'Leave it',
  readByHand: 'Read it by hand',
};

/** Advice that can hurt to pass over. */
export const URGENT: ReadonlySet<Advice> = new Set(['stopNow', 'slowDown', 'pumpUp']);

/** Why, in one or two sentences. */
export function watchText(reason: WatchReason, units: Units, nowMs: number): string {
  switch (reason.code) {
    case 'burst':
      return `It fell from ${pressure(reason.fromKpa, units)} to ${pressure(reason.toKpa, units)} at once. Straight, off the gas, no hard brake. A tire that ran flat is not pumped up again: a fitter looks at it.`;
    case 'belowFloor':
      return `Cold it has ${pressure(reason.coldKpa, units)}, below ${pressure(reason.floorKpa, units)}. The bead can let go and the sidewall cooks.`;
    case 'belowSet':
      return `Cold it has ${pressure(reason.coldKpa, units)}, less than the ${pressure(reason.targetKpa, units)} it was set to: set while it was warm, or air got lost. Above its floor it can wait for the next stop.`;
    case 'tooHot':
      return `The tire has ${Math.round(reason.tempC)} °C. Let it cool, and let no air out of it while it is hot.`;
    case 'aboveMaximum':
      return `Cold it has ${pressure(reason.pressureKpa, units)}, above the sidewall’s ${pressure(reason.maximumKpa, units)}.`;
    case 'leak': {
      const { lossKpaPerH, floor } = reason;
      const rate = `It loses ${pressureFine(lossKpaPerH, units)} an hour beyond what cooling explains: find the leak.`;
      const soonest = nowMs + floor.soonestHours * 3_600_000;
      return floor.hours <= 0
        ? `${rate} It is at its floor.`
        : `${rate} At its floor in ${hoursText(floor.hours)}, count on ${timeOfDay(soonest)}.`;
    }
    case 'leakOrCooling':
      return `It falls by ${pressureFine(reason.lossKpaPerH, units)} an hour, and cooling may be all of it: the warmth of the tire was not read. Read another wheel that stood beside it: if that fell as much, both only cool. Or read it with its temperature.`;
    case 'roseTooMuch':
      return `Warmth alone raised it by ${pressureFine(reason.riseKpa, units)}: more than about 4 psi says too soft for this load and speed.`;
    case 'aboveWindow':
      return `Cold it has ${pressure(reason.coldKpa, units)}; this ground wants ${pressure(reason.highKpa, units)} at most.`;
    case 'warmUp':
      return `It reads ${pressureFine(Math.max(0, reason.riseKpa), units)} more because it is warm: cold it is still ${pressure(reason.coldKpa, units)}. Let nothing out.`;
    case 'cooled':
      return `It reads less because it cooled: at the day’s own warmth it is still ${pressure(reason.coldKpa, units)}.`;
    case 'steady':
      return 'As it was set.';
    case 'silent':
      return `Nothing heard from its monitor for ${duration(reason.sinceH * 3600)}: battery, or out of reach. The wheel may be well; look.`;
    case 'stuck':
      return `Its monitor has said the very same for ${duration(reason.sinceH * 3600)} while the others moved: don’t trust it.`;
    case 'clockWrong':
      return `Its monitor’s clock is off by ${duration(Math.abs(reason.byH) * 3600)}: what it says can’t be put in order.`;
    case 'noReading':
      return 'No round read yet.';
  }
}
