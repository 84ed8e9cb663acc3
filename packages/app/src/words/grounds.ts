import type { GroundCode } from '@dunlinmoss/core';

/** A ground's name, and what to look for to know it by. */
export const GROUND_WORDS: Record<GroundCode, { readonly name: string; readonly sign: string }> = {
  pavement: { name: 'Pavement', sign: 'The placard rules' },
  gravel: { name: 'Gravel, corrugations', sign: 'Firm, loose on top, washboard' },
  rockyTrack: { name: 'Rocky, shaly track', sign: 'Sharp edges, firm under' },
  forestMud: { name: 'Forest, hills, mud on a firm base', sign: 'Roots, rock steps, ruts with a bottom' },
  snow: { name: 'Snow', sign: 'Lower if it holds you' },
  dampSand: { name: 'Packed damp sand', sign: 'A heel leaves a shallow print' },
  softSand: { name: 'Soft sand', sign: 'Dry and loose, feet sink in' },
  verySoftSand: { name: 'Very soft or steep sand', sign: 'Slips away under you' },
  stuck: { name: 'Stuck', sign: 'Nothing else helped' },
};

export const groundName = (code: GroundCode): string => GROUND_WORDS[code].name;
