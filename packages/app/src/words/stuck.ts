import type { Kind } from '@dunlinmoss/core';

const FOUR_WHEELS = [
  'Stop at once. Each turn of a spinning wheel digs deeper.',
  'Look under: if the underside rests on the ground, less air only lowers it. Dig it free.',
  'Reverse out along your own tracks, gently.',
  'Dig a ramp in front of each wheel, lay boards, unload, people out.',
];

/** What to do before any air is let out, in the order of trying. */
export const BEFORE_LETTING_OUT: Record<Kind, readonly string[]> = {
  car: FOUR_WHEELS,
  quad: FOUR_WHEELS,
  motorcycle: [
    'Stop at once. Each turn of a spinning wheel digs deeper.',
    'Get off. If it stands on its engine guard, lay it over, fill the hole, and stand it up beside it.',
    'Walk beside it with the engine just pulling, or roll it back along its own track.',
    'Take the luggage and the passenger off.',
  ],
  bicycle: [
    'Get off and push. On a soft stretch that is short, walking is quicker than any pressure.',
    'Look for a firmer line: damp sand, old tracks, grass.',
    'Lightest gear, weight back, hands loose. Do not steer against the front wheel.',
  ],
  farm: [
    'Stop at once. Each turn of a spinning wheel digs deeper and ruins the soil.',
    'Look under: if the axle or the drawbar rests on the ground, less air only lowers it. Dig it free.',
    'Raise the implement, unhook, or empty the tank where you may.',
    'Reverse out along your own tracks, differential lock in before the wheels spin.',
  ],
};
