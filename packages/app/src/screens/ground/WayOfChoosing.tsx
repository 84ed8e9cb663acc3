import { bodyOf, type RigRow } from '@dunlinmoss/contract';
import {
  familyOf,
  schoolsFor,
  type AxlePosition,
  type FirstNumbers,
  type GroundPlan,
  type SchoolCode,
} from '@dunlinmoss/core';
import { axleOnGauge } from '@dunlinmoss/domain';
import { View } from 'react-native';

import { save } from '../../data/outbox';
import type { Units } from '../../settings/preferences';

import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { AXLE_WORDS } from '../../words/axles';
import { pressureNumber } from '../../words/format';
import { cutText, NEED_WORDS } from '../../words/limits';
import { SCHOOL_WORDS, WHY_DEFAULT } from '../../words/schools';

/** What stands beside a way of choosing: its number for each axle, and what cut it off or what it would have to know. */
type Beside = (code: SchoolCode) => { readonly figure: string | undefined; readonly note: string | undefined };

interface WayOfChoosingProps {
  readonly rig: RigRow;
  /** The one that the number comes from. */
  readonly used: SchoolCode;
  readonly positions: readonly AxlePosition[];
  readonly beside: Beside;
}

/**
 * The ways of choosing side by side, in this rig's own numbers: asked once where the number stands, folded to a line
 * there afterwards. A demo rig asks nothing.
 */
export function WayOfChoosing({ rig, used, positions, beside }: WayOfChoosingProps) {
  const family = familyOf(rig.family);
  const { kind } = family;
  const schools = schoolsFor(family);
  const chosen = rig.school !== null && schools.includes(rig.school) ? rig.school : schools[0]!;
  const choose = async (school: SchoolCode): Promise<void> => {
    const before = bodyOf('rigs', rig);
    const saved = await save('rigs', { ...before, school });
    if (saved.kind === 'refused') return notify(saved.problem.title);
    if (saved.kind !== 'saved') return;
    const { revision } = saved.row;
    notify(`${rig.name}: ${SCHOOL_WORDS[school].name}.`, () => void save('rigs', { ...before, revision }));
  };
  const list = (
    <>
      <Choice
        label="Choose by"
        layout="list"
        value={rig.school === null ? used : chosen}
        options={schools.map((code) => ({ code, name: SCHOOL_WORDS[code].name, ...beside(code) }))}
        onChange={(code) => void choose(code)}
      />
      <Text as="small" tone="muted">
        {`${positions.map((position) => AXLE_WORDS[position].toLowerCase()).join(' / ')}, cold. ${WHY_DEFAULT[kind]}`}
      </Text>
    </>
  );
  const reasons = (
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
  );
  if (rig.school === null && !rig.demo) {
    return (
      <Panel title="How do you choose?">
        <Text as="small">Practitioners differ. Asked once for this rig; it can be changed here at any time.</Text>
        {list}
        <Action label={`Keep: ${SCHOOL_WORDS[used].name.toLowerCase()}`} onPress={() => void choose(used)} />
        {reasons}
      </Panel>
    );
  }
  return (
    <Unfold
      label="Way of choosing"
      value={
        used === chosen
          ? SCHOOL_WORDS[used].name
          : `${SCHOOL_WORDS[chosen].name}; until it can, ${SCHOOL_WORDS[used].name.toLowerCase()}`
      }
    >
      {list}
      {reasons}
    </Unfold>
  );
}

/** Beside the ways of a plan. */
export function besidePlan(plan: GroundPlan, units: Units): Beside {
  const of = (code: SchoolCode) =>
    plan.axles.map((axle) => ({ axle, school: axle.schools.find((each) => each.code === code)! }));
  return (code) => {
    const numbers = of(code).flatMap(({ axle, school }) =>
      school.ok ? [pressureNumber(axleOnGauge({ ...axle, startKpa: school.startKpa }, units).startKpa, units)] : [],
    );
    const notes = of(code).flatMap(({ axle, school }) => {
      if (!school.ok) return [NEED_WORDS[school.needs]];
      const cut = cutText(school, units);
      return cut === undefined ? [] : [`${AXLE_WORDS[axle.position]} ${cut}`];
    });
    return {
      figure: numbers.length === plan.axles.length ? `${numbers.join(' / ')} ${units.pressure}` : undefined,
      note: notes.length === 0 ? undefined : [...new Set(notes)].join('. '),
    };
  };
}

/** Beside the ways of a rig that nobody weighed: those that need no load; the others count once it is weighed. */
export function besideFirst({ plan }: FirstNumbers, units: Units): Beside {
  const ready = new Set(plan.axles.flatMap(({ schools }) => schools.map(({ code }) => code)));
  const beside = besidePlan(plan, units);
  return (code) => (ready.has(code) ? beside(code) : { figure: undefined, note: 'once it is weighed' });
}
