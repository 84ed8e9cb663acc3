import { SPEED_KMH, type RigRow } from '@dunlinmoss/contract';
import { groundOf, modifiersFor, toggled, type ModifierCode } from '@dunlinmoss/core';
import { useState } from 'react';

import { Choice } from '../../components/Choice';
import { GroundChoice } from '../../components/GroundPicker';
import { QuantityField } from '../../components/QuantityField';
import { canonicalOf, EMPTY_QUANTITY, quantityText, type QuantityText } from '../../components/quantityText';
import { Toggle } from '../../components/Toggle';
import { UnfoldRow } from '../../components/UnfoldRow';
import { TankLevel } from './TankLevel';
import { useWide } from '../../theme/useWide';
import { FAMILY_WORDS } from '../../words/families';
import { speed, speedNumber } from '../../words/format';
import { GROUND_WORDS } from '../../words/grounds';
import { dayText, MODIFIER_WORDS, speedHint } from '../../words/modifiers';
import type { PlanQuery } from '../../hooks/usePlanQuery';

interface AskingProps {
  readonly question: PlanQuery;
  readonly rigs: readonly RigRow[];
}

/** What is put in: the rig, how it is loaded, the ground, the day; two to a row, so that the numbers stay in view. */
export function Asking({ question, rigs }: AskingProps) {
  const { rig, family, loadCase, asked, units, change } = question;
  const wide = useWide();
  const offered = modifiersFor(family.kind, groundOf(asked.ground));
  const said = asked.modifiers.filter((code) => offered.includes(code));
  const day = {
    label: 'The day',
    value: dayText(said, asked.speedKmh, units),
    content: () => <Day key={`${rig.id} ${asked.ground}`} question={question} />,
  };
  const ground = (close: () => void) => (
    <GroundChoice
      family={family}
      value={asked.ground}
      onChange={(code) => {
        change({ ground: code });
        close();
      }}
    />
  );
  return (
    <>
      <UnfoldRow
        items={[
          rigItem(rig, rigs, (id) => change({ rig: id })),
          ...(loadCase
            ? [
                {
                  label: 'Load',
                  value: loadCase.name,
                  content: (close: () => void) => (
                    <Choice
                      label="How it is loaded today"
                      layout="list"
                      value={loadCase.id}
                      options={rig.loadCases.map(({ id, name }) => ({ code: id, name }))}
                      onChange={(loadCaseId) => {
                        change({ loadCaseId });
                        close();
                      }}
                    />
                  ),
                },
              ]
            : []),
        ]}
      />
      {loadCase && (
        <TankLevel
          key={`${rig.id} ${loadCase.id}`}
          loadCase={loadCase}
          today={asked.tankLevel ?? null}
          onToday={(tankLevel) => change({ tankLevel })}
        />
      )}
      {wide ? (
        <>
          <UnfoldRow items={[day]} />
          {ground(() => undefined)}
        </>
      ) : (
        <UnfoldRow items={[{ label: 'Ground', value: GROUND_WORDS[asked.ground].name, content: ground }, day]} />
      )}
    </>
  );
}

const rigItem = (rig: RigRow, rigs: readonly RigRow[], onRig: (id: string) => void) => ({
  label: 'Rig',
  value: rig.name,
  content: (close: () => void) => (
    <Choice
      label="Rig"
      layout="list"
      value={rig.id}
      options={rigs.map(({ id, name, family }) => ({ code: id, name, note: FAMILY_WORDS[family].name }))}
      onChange={(id) => {
        onRig(id);
        close();
      }}
    />
  ),
});

/** What the day is like, and how fast it has to go: kept as it is said. */
function Day({ question: { family, asked, units, change } }: { readonly question: PlanQuery }) {
  const { modifiers, speedKmh, ground } = asked;
  const [typed, setTyped] = useState(speedKmh === null ? EMPTY_QUANTITY : quantityText('speed', units.speed, speedKmh));
  const value = canonicalOf('speed', typed);
  const wrong = typed.text.trim() !== '' && (value === undefined || value < SPEED_KMH.least || value > SPEED_KMH.most);
  const say = (code: ModifierCode, on: boolean): void => change({ modifiers: toggled(modifiers, code, on) });
  const type = (text: QuantityText): void => {
    setTyped(text);
    const next = canonicalOf('speed', text);
    if (text.text.trim() === '') change({ speedKmh: null });
    else if (next !== undefined && next >= SPEED_KMH.least && next <= SPEED_KMH.most) change({ speedKmh: next });
  };
  return (
    <>
      {modifiersFor(family.kind, groundOf(ground)).map((code) => (
        <Toggle
          key={code}
          label={MODIFIER_WORDS[code].name}
          note={MODIFIER_WORDS[code].note}
          value={modifiers.includes(code)}
          onChange={(on) => say(code, on)}
        />
      ))}
      {family.speedGuide && (
        <QuantityField
          label="Speed needed"
          quantity="speed"
          value={typed}
          onChange={type}
          hint={speedHint(family.kind, units)}
          problem={
            wrong
              ? `Expected ${speedNumber(SPEED_KMH.least, units)} to ${speed(SPEED_KMH.most, units)}, or nothing.`
              : undefined
          }
        />
      )}
    </>
  );
}
