import { rigLoads, type LoadCaseBody } from '@dunlinmoss/contract';
import { fireEvent, render, screen } from '@testing-library/react';
import { AppTheme } from '../../theme/AppTheme';

import { sampleCase, sampleRig } from '@dunlinmoss/domain/testing';
import { LoadPicture } from './LoadPicture';
import { LoadWorking } from './LoadWorking';

const loadCase = sampleCase({
  method: 'moments',
  weighed: [],
  unladen: [
    { position: 'front', loadKg: 1000 },
    { position: 'rear', loadKg: 900 },
  ],
  items: [
    { kind: 'thing', name: 'Posts', body: 'vehicle', behindMm: 2790, rightMm: null, massKg: 200 },
    {
      kind: 'tank',
      name: 'Water',
      body: 'vehicle',
      behindMm: 1395,
      rightMm: null,
      liters: 100,
      densityKgPerL: 1,
      level: 0.5,
    },
  ],
});
const rig = sampleRig({ loadCases: [loadCase] });
const loadsOf = (of: LoadCaseBody) => {
  const loads = rigLoads(rig, of);
  if (!loads.ok) throw new Error(loads.problem.code);
  return loads.value;
};
const show = (child: React.ReactNode) => render(<AppTheme>{child}</AppTheme>);
const plain = (text: string | null): string => (text ?? '').replace(/\u00a0/g, ' ');

describe('LoadWorking', () => {
  it('sums each column to the load of its axle', () => {
    show(<LoadWorking rig={rig} loadCase={loadCase} loads={loadsOf(loadCase)} />);
    fireEvent.click(screen.getByRole('button'));
    const rows = screen.getAllByRole('row').map((row) => plain(row.textContent));
    expect(rows).toEqual([
      'ThingFrontRear',
      'Empty1000 kg900 kg',
      '1. Posts200 kg at 2790 mm0 kg200 kg',
      '2. Water50 kg at 1395 mm25 kg25 kg',
      'Together1025 kg1125 kg',
    ]);
  });
});

describe('LoadPicture', () => {
  it('names what its numbers stand for, a tank with its level', () => {
    show(<LoadPicture rig={rig} loads={loadsOf(loadCase)} items={loadCase.items} danger={new Set()} />);
    expect(plain(screen.getByRole('img').getAttribute('aria-label'))).toContain('Rear: left 563 kg, right 563 kg');
    expect(plain(screen.getByText(/^2/, { selector: 'div' }).textContent)).toContain('Water, 50 kg (50 % full)');
  });
});
