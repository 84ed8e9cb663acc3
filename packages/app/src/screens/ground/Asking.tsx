import type { RigRow } from '@dunlinmoss/contract';
import { groundOf, modifiersFor, type ModifierCode } from '@dunlinmoss/core';
import { useState } from 'react';

import { Choice } from '../../components/Choice';
import { GroundChoice } from '../../components/GroundPicker';
import { NumberField } from '../../components/NumberField';
import { Toggle } from '../../components/Toggle';
import { UnfoldRow } from '../../components/UnfoldRow';
import { useWide } from '../../theme/useWide';
import { FAMILY_WORDS } from '../../words/families';
import { parseNumber } from '../../settings/typedNumber';
import { GROUND_WORDS } from '../../words/grounds';
import { dayText, MODIFIER_WORDS, speedHint } from '../../words/modifiers';
import type { PlanQuery } from '../../hooks/usePlanQuery';

interface AskingProps {
  readonly question: PlanQuery;
  readonly rigs: readonly RigRow[];
}

/** What is put in: the rig, how it is loaded, the ground, the day; two to a row, so that the numbers stay in view. */
export function Asking({ question, rigs }: AskingProps) {
  const { rig, family, loadCase, asked, change } = question;
  const wide = useWide();
  const offered = modifiersFor(family.kind, groundOf(asked.ground));
  const said = asked.modifiers.filter((code) => offered.includes(code));
  const day = {
    label: 'The day',
    value: dayText(said, asked.speedKmh),
    content: () => <Day key={`${rig.id} ${asked.ground}`} question={question} />,
  };
  const ground = (close: () => void) => (
    <GroundChoice
      kind={family.kind}
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

/** The rig alone, where nothing can be asked of it yet. */
export const RigPicker = ({
  rig,
  rigs,
  onRig,
}: {
  readonly rig: RigRow;
  readonly rigs: readonly RigRow[];
  readonly onRig: (id: string) => void;
}) => <UnfoldRow items={[rigItem(rig, rigs, onRig)]} />;

/** What the day is like, and how fast it has to go: kept as it is said. */
function Day({ question: { family, asked, change } }: { readonly question: PlanQuery }) {
  const { modifiers, speedKmh, ground } = asked;
  const [typed, setTyped] = useState(speedKmh === null ? '' : String(speedKmh));
  const value = parseNumber(typed);
  const wrong = typed.trim() !== '' && (value === undefined || value < 1 || value > 300);
  const say = (code: ModifierCode, on: boolean): void =>
    change({ modifiers: on ? [...modifiers, code] : modifiers.filter((each) => each !== code) });
  const type = (text: string): void => {
    setTyped(text);
    const next = parseNumber(text);
    if (text.trim() === '') change({ speedKmh: null });
    else if (next !== undefined && next >= 1 && next <= 300) change({ speedKmh: next });
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
        <NumberField
          label="Speed needed"
          unit="km/h"
          value={typed}
          onChange={type}
          hint={speedHint(family.kind)}
          problem={wrong ? 'Expected 1 to 300 km/h, or nothing.' : undefined}
        />
      )}
    </>
  );
}
