/** What to do before any air is let out, in the order of trying. */
export const BEFORE_LETTING_OUT = [
  'Stop at once. Each turn of a spinning wheel digs deeper.',
  'Look under: if the underside rests on the ground, less air only lowers it. Dig it free.',
  'Reverse out along your own tracks, gently.',
  'Dig a ramp in front of each wheel, lay boards, unload, people out.',
];
