import type { RoutineValues } from '@dunlinmoss/core';
import { useState } from 'react';

import type { Units } from '../../../settings/preferences';
import { Action } from '../../../components/Action';
import { NumberField } from '../../../components/NumberField';
import { notify } from '../../../components/Notice';
import { Panel } from '../../../components/Panel';
import { QuantityField } from '../../../components/QuantityField';
import { canonicalOf, quantityText } from '../../../components/quantityText';
import { Text } from '../../../components/Text';
import { parseNumber } from '../../../settings/typedNumber';

/** Areas by counting squares of a sheet: whole ones, and those that the line cuts, which count half. */
export function CountSquares({
  units,
  onCounted,
}: {
  readonly units: Units;
  readonly onCounted: (values: RoutineValues) => void;
}) {
  const [side, setSide] = useState(() => quantityText('length', units.length, units.length === 'in' ? 12.7 : 10));
  const [whole, setWhole] = useState('');
  const [cut, setCut] = useState('');
  const [blank, setBlank] = useState('');
  const count = (): void => {
    const sideMm = canonicalOf('length', side);
    const [full, half, without] = [whole, cut, blank].map((text) => (text.trim() === '' ? 0 : parseNumber(text)));
    if (
      sideMm === undefined ||
      sideMm <= 0 ||
      full === undefined ||
      half === undefined ||
      without === undefined ||
      full + half <= 0
    ) {
      notify('Expected the side of a square, and how many squares.');
      return;
    }
    const grossMm2 = (full + half / 2) * sideMm ** 2;
    onCounted({ grossMm2, netMm2: blank.trim() === '' ? null : Math.max(0, grossMm2 - without * sideMm ** 2) });
  };
  return (
    <Panel title="By counting squares">
      <Text as="small" tone="muted">
        Print onto squared paper. Cut squares count half.
      </Text>
      <QuantityField label="Side of a square" quantity="length" value={side} onChange={setSide} />
      <NumberField label="Whole squares inside" unit="" value={whole} onChange={setWhole} />
      <NumberField label="Squares the line cuts" unit="" value={cut} onChange={setCut} />
      <NumberField label="Squares without ink (if you like)" unit="" value={blank} onChange={setBlank} />
      <Action label="Count them" onPress={count} />
    </Panel>
  );
}
