import type { Kind, SchoolCode } from '@dunlinmoss/core';

/** A school's name, who holds it, where it is right and where it breaks. */
export const SCHOOL_WORDS: Record<
  SchoolCode,
  { readonly name: string; readonly who: string; readonly right: string; readonly breaks: string }
> = {
  deflectionAndShare: {
    name: 'By load, tire and road pressure',
    who: 'Ours, between the two below.',
    right: 'Right on most rigs: tall tires keep some air, low-profile ones lose some.',
    breaks: 'Breaks where the road pressure is far from what the load needs.',
  },
  equalDeflection: {
    name: 'By load and tire',
    who: 'Equal deflection: forest and military mobility practice.',
    right:
      'Right on any load and tire: each sidewall bends by the same share as that of the rig the table was found on.',
    breaks:
      'Breaks on tall tires and heavy plies under a light load: they hardly bend, and it asks for no air at all. On a low profile it lets nothing out.',
  },
  fixedTable: {
    name: 'One table for every rig',
    who: 'The fixed table of most who drive on sand.',
    right: 'Right on a family wagon with family loads.',
    breaks: 'Breaks on a heavy wheel, which it takes too low, and on a light one, which it leaves too hard.',
  },
  shareOfRoad: {
    name: 'A share of road pressure',
    who: 'Drivers who halve the road pressure and go on from there in steps.',
    right: 'Right where the placard already follows load and tire.',
    breaks: 'Breaks where the placard is for comfort or for towing: half of a wrong number is a wrong number.',
  },
  stepDown: {
    name: 'Start high, step down',
    who: 'Those who would rather let out twice than pump up once.',
    right: 'Right on ground nobody has driven yet: let out 2 psi, 0.15 bar, at a time until it goes.',
    breaks: 'Breaks where the first attempt digs you in.',
  },
  sidewallRules: {
    name: 'The sidewall rules',
    who: 'Quad riders who have tried what is stamped on their tires.',
    right: 'Right on snow: rated 22 psi works near 15, rated 44 at 25 and less, stiff ones rated 8 near 5.',
    breaks: 'Breaks on other ground, where it is carried over in proportion, and under a heavy plow.',
  },
  loadSpeedTable: {
    name: 'The load-and-speed table',
    who: 'Tire engineers and their data sheets.',
    right: 'Right wherever load and speed are known: the least that carries them.',
    breaks: 'Breaks where the load is guessed, where it pulls hard for long, and above the table.',
  },
  fromRoad: {
    name: 'From the road pressure',
    who: 'Operators who know what they drive with, and have no data sheet at hand.',
    right: 'Right in proportion: less speed and less load take so much less air than on the road.',
    breaks: 'Breaks where the road pressure itself is wrong for the load.',
  },
  onePressure: {
    name: 'One pressure for everything',
    who: 'Operators without central inflation.',
    right: 'Right where nobody stops to change: it carries today’s load at road speed.',
    breaks: 'Breaks the field: most of what soft tires save there is lost.',
  },
  classTable: {
    name: 'The class table',
    who: 'Riders who compare within a class of motorcycle.',
    right: 'Right for a rider and luggage as others have them, and by load for more.',
    breaks: 'Breaks on tubes that want more, and on unusual tires.',
  },
  makersFigure: {
    name: 'The maker’s figure, in steps',
    who: 'Those who trust the manual and go down by 5 psi.',
    right: 'Right on a stock motorcycle with the tires it came on.',
    breaks: 'Breaks where the figure is for the highway at top speed: it stays too hard.',
  },
  equalDrop: {
    name: 'The trade’s starts, by your load and width',
    who: 'What trail and gravel riders of 80 kg start with, carried to your load and width.',
    right: 'Right for any rider on any width; narrow road tires go by a drop of 15 %.',
    breaks: 'Breaks far outside the widths they ride, and on casings of an unusual kind.',
  },
  fifteenDrop: {
    name: 'A drop of 15 %',
    who: 'Long-distance riders who measured it.',
    right: 'Right on pavement and smooth gravel, where comfort and speed meet.',
    breaks: 'Breaks on a trail: it leaves the front too soft for braking and descents.',
  },
  bodyWeight: {
    name: 'A fifth of your weight',
    who: 'Beginners’ rule: 20 % of the weight in pounds, as psi.',
    right: 'Right to begin at once, with a pump and no scale.',
    breaks: 'Breaks everywhere else: it reads high, and knows nothing of the tire.',
  },
  sidewallMiddle: {
    name: 'The sidewall’s middle',
    who: 'Those who begin in the middle of the range on the tire.',
    right: 'Right while nothing is known but the tire.',
    breaks: 'Breaks for light and heavy riders alike.',
  },
  nearMaximum: {
    name: 'Near the maximum',
    who: 'Commuters on smooth roads.',
    right: 'Right on smooth pavement with a load, pumped once a month.',
    breaks: 'Breaks on anything rough: it bounces, and is slower for it.',
  },
  ownTrial: {
    name: 'Your own trial',
    who: 'Those who believe only their own runs.',
    right: 'Right in the end: two steps down, back, two steps up, keep what feels and measures best.',
    breaks: 'Breaks without patience, and where the first figure is far off.',
  },
};

/** Why the first of a kind of rig is the one to begin with. */
export const WHY_DEFAULT: Record<Kind, string> = {
  car: 'By load, tire and road pressure is the one to begin with: it goes by all that is known of yours.',
  quad: 'The sidewall rules are the ones to begin with: they were found on quads, and the load still has its say.',
  motorcycle: 'The class table is the one to begin with: it was found off the road, the manual’s figure on it.',
  bicycle: 'The trade’s starts are the ones to begin with: they go by your own load and the width of your tires.',
  farm: 'The table is the one to begin with: it is what your tire is made to carry.',
};

/** Whose the deciding figure is, in plain words. */
export const DECIDED_BY: Record<SchoolCode, string> = {
  deflectionAndShare: 'what the trade runs, fitted to your rig',
  equalDeflection: 'what the trade runs, by your load and tire',
  shareOfRoad: 'the share of your road pressure that the trade runs',
  fixedTable: 'what the trade runs',
  stepDown: 'what the trade runs on gravel, to step down from',
  sidewallRules: 'what your tire is rated for, as the trade runs it',
  loadSpeedTable: 'from your tire',
  fromRoad: 'from the pressure you drive with on the road',
  onePressure: 'from your tire, at road speed',
  classTable: 'what the trade runs in this class',
  makersFigure: 'the maker’s figure',
  equalDrop: 'what the trade runs, by your load and width',
  fifteenDrop: 'from drop measurements',
  bodyWeight: 'a beginner’s rule',
  sidewallMiddle: 'from your tire',
  nearMaximum: 'from your tire',
  ownTrial: 'what you ride with now',
};
