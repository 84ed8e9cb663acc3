import type { Rig, SheetProblem } from '@dunlinmoss/contract';

import type { Units } from '../settings/preferences';
import { mass, pressureRange, speed, speedNumber } from './format';
import { unitLabel } from './units';

/** What was read of a pasted data sheet, to be looked over before it is taken. */
export function sheetText(rows: readonly Rig['axles'][number]['rows'][number][], units: Units): string {
  const of = (key: 'pressureKpa' | 'speedKmh' | 'loadKg'): readonly [number, number] => {
    const all = rows.map((row) => row[key]);
    return [Math.min(...all), Math.max(...all)];
  };
  const [[lowKpa, highKpa], [slow, fast], [light, heavy]] = [of('pressureKpa'), of('speedKmh'), of('loadKg')];
  return [
    `Reads ${rows.length === 1 ? 'one row' : `${rows.length} rows`}: ${pressureRange(lowKpa, highKpa, units)}`,
    slow === fast ? speed(fast, units) : `${speedNumber(slow, units)} to ${speed(fast, units)}`,
    light === heavy ? mass(heavy, units) : `${mass(light, units)} to ${mass(heavy, units)}`,
  ].join(', ');
}

export const sheetHint = ({ pressure, mass: weight, speed: pace }: Units): string =>
  `Pressures on top and a speed before each line, or a line each: pressure, speed, load. Without units: ${pressure}, ${unitLabel(pace)}, ${weight}.`;

export function sheetProblemText(problem: Exclude<SheetProblem, { code: 'empty' }>): string {
  switch (problem.code) {
    case 'unreadable':
      return `Line ${problem.line} does not fit: “${problem.text}”. Expected pressure, speed and load, or a table with one more number in each line than pressures on top.`;
    case 'tooMany':
      return `${problem.rows} rows, and ${problem.most} can be kept. Leave out speeds that you never drive.`;
  }
}
