import { psi, type Finding } from '@dunlinmoss/core';
import { fireEvent, render, screen } from '@testing-library/react';
import { AppTheme } from '../theme/AppTheme';

import { Findings } from './Findings';

const put: Finding['code'][] = [];
const show = (findings: readonly Finding[]) =>
  render(
    <AppTheme>
      <Findings findings={findings} kind="car" onPutRight={(finding) => put.push(finding.code)} />
    </AppTheme>,
  );
const over: Finding = { code: 'overTire', position: 'front', loadKg: 1200, mostKg: 1120 };
const uneven: Finding = { code: 'uneven', position: 'rear', leftKg: 500, rightKg: 620, measured: true };

describe('Findings', () => {
  it('says by word which can hurt and which want looking at, each with what to do', () => {
    show([over, uneven]);
    const [danger, care] = screen.getAllByRole('listitem').map((item) => item.textContent);
    expect(danger).toMatch(/^Danger.*1120.*Unload, or fit tires with a higher load index\./);
    expect(care).toMatch(/^Look at.*500.*620.*weighed.*Move load across/);
  });

  it('leads to where each is put right', () => {
    show([over, uneven]);
    fireEvent.click(screen.getByLabelText(/^Correct it: Rear axle: 500/));
    expect(put).toEqual(['uneven']);
  });

  it('defers to sidewall, placard, law and fitter where nothing was found', () => {
    show([]);
    expect(screen.queryByRole('list')).toBeNull();
    expect(screen.getByText(/Nothing wrong in what is known\. The sidewall, the placard, the law/)).toBeTruthy();
  });

  it('rounds the pressure that would do up to what the gauge shows', () => {
    show([
      {
        code: 'overAtPressure',
        position: 'front',
        at: 'road',
        pressureKpa: psi(20),
        loadKg: 118,
        carriesKg: 117,
        extrapolated: false,
        neededKpa: psi(20.2),
      },
    ]);
    expect(screen.getByText(/^Inflate to 21/)).toBeTruthy();
  });
});
