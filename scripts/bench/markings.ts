import { readMarking, writeMarking } from '@dunlinmoss/core';

/** How many markings a second are read, over all notations, and how many are read and written again. */

const MARKINGS = [
  '245/75R16 111T',
  'LT285/70R17 121/118Q E',
  '35x12.50R17LT 121Q',
  '7.50R16 112N',
  'AT25x8-12 6PR',
  '90/90-21 54S',
  '4.60-18 63P',
  '29x2.40',
  '700x42C',
  '57-584',
  'VF380/90R46 173D',
  '480/80R50 159A8/B',
  '18.4R38 146A8 **',
  'big ones',
];
const RUN_MS = 1_500;

function perSecond(work: (marking: string) => void): number {
  const once = (): number => {
    const begun = performance.now();
    let done = 0;
    while (performance.now() - begun < RUN_MS) {
      for (const marking of MARKINGS) work(marking);
      done += MARKINGS.length;
    }
    return (done / (performance.now() - begun)) * 1000;
  };
  once();
  return Math.max(once(), once());
}

const read = perSecond((marking) => void readMarking(marking));
const both = perSecond((marking) => {
  const reading = readMarking(marking);
  if (reading.ok) writeMarking(reading.value);
});
process.stdout.write(JSON.stringify({ readPerSecond: read, timeOfBothOverRead: read / both }));
