import type { LogEvent, LogLineProblem } from '@dunlinmoss/contract';

import { countText, dayAndTime } from './format';
import { DISK_FULL, SERVER_STOPPED } from './imports';

const LINE_WORDS: Record<LogLineProblem, string> = {
  time: 'expected a time with its zone, as 2026-11-20T06:40:00Z',
  axle: 'expected an axle: front, rear, rear2, trailer, trailer2, trailer3',
  wheel: 'expected a wheel: single, left, right, leftOuter, leftInner, rightInner, rightOuter',
  noSuchWheel: 'this rig has no such wheel',
  pressure: 'expected a pressure from 0 to 2000 kPa',
  temp: 'expected a temperature from −60 to 150 °C, or nothing',
  columns: 'expected as many columns as the first line has',
};

/** What an import of a log came to. */
export function logEndText(event: LogEvent | undefined): {
  readonly text: string;
  readonly lines: readonly string[];
  readonly good: boolean;
} {
  const bad = (text: string, lines: readonly string[] = []) => ({
    text: `${text} Nothing of it was taken in.`,
    lines,
    good: false,
  });
  if (!event || 'progress' in event || 'taken' in event) return bad('It broke off before its end.');
  if ('done' in event) {
    const { added, alreadyThere, from, to } = event.done;
    const there = alreadyThere === 0 ? '' : ` ${countText(alreadyThere)} were there already and are counted once.`;
    const span = from && to ? ` From ${dayAndTime(from)} to ${dayAndTime(to)}.` : '';
    return { text: `${countText(added)} readings taken in.${there}${span}`, lines: [], good: true };
  }
  const { code, refused = 0, lines = [] } = event.problem;
  switch (code) {
    case 'linesRefused':
      return bad(
        `${refused === 1 ? 'One line' : `${countText(refused)} lines`} can’t be read.`,
        lines.map(({ line, problem, text }) => `Line ${line}: ${LINE_WORDS[problem]}. It says “${text}”.`),
      );
    case 'headerUnread':
      return bad(
        'Its first line does not name the columns time, axle, wheel and pressure_kpa, pressure_psi or pressure_bar.',
      );
    case 'noLines':
      return bad('There is no reading in it.');
    case 'tooLarge':
      return bad('It is larger than 2 GB, or has a line that does not end.');
    case 'databaseAway':
      return bad("The store can't be reached just now.");
    case 'serverStopped':
      return bad(SERVER_STOPPED);
    case 'diskFull':
      return bad(DISK_FULL);
    case 'internal':
      return {
        text: 'Something went wrong on the way. Choose the file again: nothing is taken in twice.',
        lines: [],
        good: false,
      };
  }
}
