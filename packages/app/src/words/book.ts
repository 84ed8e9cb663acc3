import type { OutingRow, ProofTestRow, RigRow, Sheet } from '@dunlinmoss/contract';

import { unitsFor, type Units } from '../settings/preferences';
import { day } from './format';
import { groundName } from './grounds';
import { DECISION_WORDS, pressuresText, stateText } from './outing';
import { personName } from './people';
import { testText } from './proof/tests';

interface BookParts {
  /** Those that are looked for, newest first. */
  readonly outings: readonly OutingRow[];
  readonly rigs: readonly RigRow[];
  readonly tests: readonly ProofTestRow[];
  /** Of the crew, by id. Nobody is named where there is one person alone. */
  readonly names: Readonly<Record<string, string>>;
  readonly units: Units;
}

/** Outings of the Book as a table: what was done, where, at what, what was found and decided, and by whom. */
export function bookSheet({ outings, rigs, tests, names, units }: BookParts, now: string): Sheet {
  const byPeople = outings.some(({ savedBy }) => savedBy !== undefined);
  return {
    title: 'Book',
    about: `${outings.length} ${outings.length === 1 ? 'outing' : 'outings'} · ${day(now)}`,
    parts: [
      {
        head: ['Day', 'Outing', 'Machine', 'Ground', 'State', 'Set', 'Tests', 'Decided', ...(byPeople ? ['By'] : [])],
        rows: outings.map((outing) => {
          const family = rigs.find(({ id }) => id === outing.rigId)?.family;
          const own = family ? unitsFor(units, family) : units;
          const { decision, savedBy } = outing;
          return [
            day(outing.startedAt),
            outing.title,
            outing.rigName,
            groundName(outing.groundCode),
            stateText(outing, family),
            pressuresText(outing.pressures, own),
            tests
              .filter(({ outingId }) => outingId === outing.id)
              .map((test) => testText(test, family ?? 'fourWheel'))
              .join('; '),
            decision ? DECISION_WORDS[decision.code] + (decision.note && `: ${decision.note}`) : '',
            ...(byPeople ? [savedBy === undefined ? '' : personName(names, savedBy)] : []),
          ];
        }),
      },
    ],
    foot: 'What worked once worked on that ground, that day, at that load. Air back before pavement.',
  };
}
