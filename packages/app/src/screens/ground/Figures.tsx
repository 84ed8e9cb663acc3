import { familyOf, type ContactPatch, type GroundPlan } from '@dunlinmoss/core';
import type { RigRow } from '@dunlinmoss/contract';
import { axleOnGauge } from '@dunlinmoss/domain';
import { Fragment } from 'react';

import type { Units } from '../../settings/preferences';
import { Panel } from '../../components/Panel';
import { Table } from '../../components/Table';
import { Text } from '../../components/Text';
import { AXLE_WORDS } from '../../words/axles';
import { COMPARED_WITH } from '../../words/families';
import { length, mass, percent, pressure } from '../../words/format';

interface FiguresProps {
  readonly plan: GroundPlan;
  readonly rig: RigRow;
  readonly units: Units;
}

/** What the tire does at road pressure and at this one, side by side, and whether it was measured or estimated. */
export function Figures({ plan, rig, units }: FiguresProps) {
  const { kind } = familyOf(rig.family);
  return (
    <Panel title="What the tire does">
      {plan.axles.map((axle, index) => {
        const { atRoad, atStart } = axle;
        const both = (of: (patch: ContactPatch) => string): readonly [string, string] => [
          atRoad ? of(atRoad) : '–',
          of(atStart),
        ];
        const { startKpa, roadKpa } = axleOnGauge(axle, units);
        const rows: readonly (readonly [string, string, string])[] = [
          ['Pressure, cold', roadKpa === null ? '–' : pressure(roadKpa, units), pressure(startKpa, units)],
          ['Settles by', ...both(({ deflectionMm }) => length(deflectionMm, units))],
          [
            rig.axles[index]!.wheels === 1 ? 'Share of its height' : 'Share of sidewall',
            ...both(({ deflectionShare }) => percent(deflectionShare)),
          ],
          ['Contact length', ...both(({ lengthMm }) => length(lengthMm, units))],
          ['On the ground', ...both(({ groundPressureKpa }) => pressure(groundPressureKpa, units))],
          ['Clearance lost', '–', axle.clearanceLostMm === null ? '–' : length(axle.clearanceLostMm, units)],
          ['Carries here', '', axle.carriesKg === null ? 'not known' : mass(axle.carriesKg, units)],
        ];
        return (
          <Fragment key={axle.position}>
            <Table
              label={`${AXLE_WORDS[axle.position]} axle`}
              columns={[
                { head: `${AXLE_WORDS[axle.position]}, ${mass(axle.wheelLoadKg, units)} a wheel`, share: 1 },
                { head: capital(COMPARED_WITH[kind]), width: 84, tone: 'muted' },
                { head: 'Here', width: 84 },
              ]}
              rows={rows.map((cells) => ({ key: cells[0], cells }))}
            />
            {!axle.own && (
              <Text as="small" tone="muted">
                Contact is estimated. A print, a tape or a standing height of this tire replaces the estimate.
              </Text>
            )}
          </Fragment>
        );
      })}
    </Panel>
  );
}

const capital = (word: string): string => word[0]!.toUpperCase() + word.slice(1);
