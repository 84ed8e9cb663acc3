import type { LoadCaseBody, RigRow } from '@dunlinmoss/contract';
import { familyOf, USUAL_RIGS, usualRigOf, type UsualRigCode } from '@dunlinmoss/core';

import { unitsStore } from '../../settings/preferences';
import { RowQuantity, usePicked } from '../../forms/fields';
import type { OpenForm } from '../../forms/useRowForm';
import { Choice } from '../../components/Choice';
import { Text } from '../../components/Text';
import { mass, percent } from '../../words/format';
import { LADEN_WORDS, USUAL_RIG_WORDS } from '../../words/usualRigs';

interface SplitFieldsProps {
  readonly form: OpenForm<LoadCaseBody>;
  readonly rig: RigRow;
}

/** The whole weight, split by the kind of machine: known by many, and enough for a better number. */
export function SplitFields({ form, rig }: SplitFieldsProps) {
  const units = unitsStore.use();
  const [split, pick] = usePicked<LoadCaseBody, NonNullable<LoadCaseBody['split']>>(form, '/split');
  const kinds = USUAL_RIGS.filter(({ family }) => family === rig.family);
  const usual = usualRigOf(rig.family, split.like)!;
  const { kind } = familyOf(rig.family);
  const two = kind === 'motorcycle' ? LADEN_WORDS.riders : LADEN_WORDS.load;
  const share = usual.frontShare[split.laden];
  return (
    <>
      <RowQuantity
        form={form}
        at="/wholeKg"
        label="The whole, as it stands now"
        quantity="mass"
        hint={`People and load in it. Such a one usually weighs ${mass(usual.totalKg, units)}.`}
      />
      {kinds.length > 1 && (
        <Choice
          label="Built like"
          value={usual.code as UsualRigCode}
          options={kinds.map(({ code }) => ({ code, name: USUAL_RIG_WORDS[code] }))}
          onChange={(like) => pick({ ...split, like })}
        />
      )}
      <Choice
        label={two.label}
        value={split.laden}
        options={[
          { code: 'empty', name: two.empty },
          { code: 'loaded', name: two.loaded },
        ]}
        onChange={(laden) => pick({ ...split, laden })}
      />
      <Text as="small" tone="muted">
        {`${percent(share)} on the front, ${percent(1 - share)} behind: our estimate for such a one. Scales under the wheels beat it.`}
      </Text>
    </>
  );
}
