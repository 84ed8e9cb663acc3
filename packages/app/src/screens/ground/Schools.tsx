import { bodyOf, type RigRow } from '@dunlinmoss/contract';
import { familyOf, schoolsFor, type GroundPlan, type SchoolCode } from '@dunlinmoss/core';
import { axleOnGauge } from '@dunlinmoss/domain';
import { View } from 'react-native';

import { save } from '../../data/outbox';
import type { Units } from '../../settings/preferences';

import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { AXLE_WORDS } from '../../words/axles';
import { pressureNumber } from '../../words/format';
import { cutText, NEED_WORDS } from '../../words/limits';
import { SCHOOL_WORDS, WHY_DEFAULT } from '../../words/schools';

interface SchoolsProps {
  readonly plan: GroundPlan;
  readonly rig: RigRow;
  readonly units: Units;
}

/** The schools side by side, each with its number for each axle; one of them can be held for this rig. */
export function Schools({ plan, rig, units }: SchoolsProps) {
  const { kind } = familyOf(rig.family);
  const schools = schoolsFor(kind);
  const held = rig.school !== null && schools.includes(rig.school) ? rig.school : schools[0]!;
  const hold = async (school: SchoolCode): Promise<void> => {
    const before = bodyOf('rigs', rig);
    const saved = await save('rigs', { ...before, school: school === schools[0] ? null : school });
    if (saved.kind === 'refused') return notify(saved.problem.title);
    if (saved.kind !== 'saved') return;
    const { revision } = saved.row;
    notify(
      `${rig.name} goes by ${SCHOOL_WORDS[school].name.toLowerCase()}.`,
      () => void save('rigs', { ...before, revision }),
    );
  };
  const { figure, note } = besideSchools(plan, units);
  return (
    <Panel title="Ways of choosing, side by side">
      <Choice
        label="Choose by"
        layout="list"
        value={held}
        options={schools.map((code) => ({
          code,
          name: SCHOOL_WORDS[code].name,
          figure: figure(code),
          note: note(code),
        }))}
        onChange={(code) => void hold(code)}
      />
      <Text as="small" tone="muted">
        {`${plan.axles.map(({ position }) => AXLE_WORDS[position].toLowerCase()).join(' / ')}, cold. ${WHY_DEFAULT[kind]}`}
      </Text>
      <Unfold label="Who goes by which, and where it breaks">
        {schools.map((code) => {
          const { name, who, right, breaks } = SCHOOL_WORDS[code];
          return (
            <View key={code}>
              <Text as="label">{name}</Text>
              <Text as="small">{`${who} ${right} ${breaks}`}</Text>
            </View>
          );
        })}
      </Unfold>
    </Panel>
  );
}

/** What stands beside a school: its number for each axle, and what cut it off or what it would have to know. */
function besideSchools(plan: GroundPlan, units: Units) {
  const of = (code: SchoolCode) =>
    plan.axles.map((axle) => ({ axle, school: axle.schools.find((each) => each.code === code)! }));
  return {
    figure: (code: SchoolCode): string | undefined => {
      const numbers = of(code).flatMap(({ axle, school }) =>
        school.ok ? [pressureNumber(axleOnGauge({ ...axle, startKpa: school.startKpa }, units).startKpa, units)] : [],
      );
      return numbers.length === plan.axles.length ? `${numbers.join(' / ')} ${units.pressure}` : undefined;
    },
    note: (code: SchoolCode): string | undefined => {
      const notes = of(code).flatMap(({ axle, school }) => {
        if (!school.ok) return [NEED_WORDS[school.needs]];
        const cut = cutText(school, units);
        return cut === undefined ? [] : [`${AXLE_WORDS[axle.position]} ${cut}`];
      });
      return notes.length === 0 ? undefined : [...new Set(notes)].join('. ');
    },
  };
}
