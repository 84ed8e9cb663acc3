import type { GroundCode } from '@dunlinmoss/core';

/** A ground's name, and what to look for to know it by. */
export const GROUND_WORDS: Record<GroundCode, { readonly name: string; readonly sign: string }> = {
  pavement: { name: 'Pavement', sign: 'Road pressure, for load and speed' },
  lane: { name: 'Lane', sign: 'Between yard and field, no faster than a bicycle' },
  smoothHard: { name: 'Smooth and hard', sign: 'Good pavement, firmer rolls faster' },
  brokenPavement: { name: 'Broken pavement', sign: 'Patches, potholes, cattle grids' },
  dirtRoad: { name: 'Dirt road', sign: 'Graded, firm, a little loose' },
  hardpack: { name: 'Hardpack trail', sign: 'Firm earth, few stones' },
  gravel: { name: 'Gravel, corrugations', sign: 'Firm, loose on top, washboard' },
  looseGravel: { name: 'Loose gravel', sign: 'Rolls under the wheel' },
  bikePark: { name: 'Bike park', sign: 'Berms, jumps, hard landings' },
  rock: { name: 'Rock', sign: 'Ledges and square edges' },
  rockyTrack: { name: 'Rocky, shaly track', sign: 'Sharp edges, firm under' },
  roots: { name: 'Roots', sign: 'Dry, hit square' },
  wetTrail: { name: 'Wet trail, wet roots', sign: 'Slick on top' },
  climb: { name: 'Climb', sign: 'Nothing but uphill' },
  forestMud: { name: 'Forest, hills, mud on a firm base', sign: 'Roots, rock steps, ruts with a bottom' },
  rockCrawl: { name: 'Rock, crawled', sign: 'Wheel by wheel, at a walk' },
  mud: { name: 'Mud', sign: 'Clings and fills the tread' },
  plowing: { name: 'Plowing snow', sign: 'Hard ground under the blade' },
  snow: { name: 'Snow', sign: 'Lower if it holds you' },
  dampSand: { name: 'Packed damp sand', sign: 'A heel leaves a shallow print' },
  softSand: { name: 'Soft sand', sign: 'Dry and loose, feet sink in' },
  verySoftSand: { name: 'Very soft or steep sand', sign: 'Slips away under you' },
  fieldDry: { name: 'Field, dry', sign: 'A clod breaks to dust' },
  fieldMoist: { name: 'Field, moist', sign: 'A clod can be pressed to a ball' },
  fieldWet: { name: 'Field, wet', sign: 'A clod smears between the fingers' },
  stuck: { name: 'Stuck', sign: 'Nothing else helped' },
};

export const groundName = (code: GroundCode): string => GROUND_WORDS[code].name;
