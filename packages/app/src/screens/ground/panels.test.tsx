import { familyOf, groundsFor, planGround, schoolsFor, psi, type GroundCode, type GroundPlan } from '@dunlinmoss/core';
import type { RigRow } from '@dunlinmoss/contract';
import { firstNumbersOf, planInput } from '@dunlinmoss/domain';
import { fireEvent, render, screen, within } from '@testing-library/react';

import { FIRST_UNITS, unitsFor } from '../../settings/preferences';
import { SAMPLE_RIGS, sampleAxle, sampleBicycle, sampleRig } from '@dunlinmoss/domain/testing';
import { AxleNumbers, Reasons } from './AxleNumbers';
import { Figures } from './Figures';
import { FloorPicker } from './FloorPicker';
import { Limits } from './Limits';
import { besideFirst, besidePlan, WayOfChoosing } from './WayOfChoosing';

const saved: { school: unknown; beadFloorKpa: unknown }[] = [];
jest.mock('../../data/outbox', () => ({
  save: (_: string, body: { school: unknown; beadFloorKpa: unknown; revision: number }) => {
    saved.push(body);
    return Promise.resolve({ kind: 'saved', row: { ...body, revision: body.revision + 1 } });
  },
}));
jest.mock('../../components/Notice', () => ({ notify: () => undefined }));

const units = FIRST_UNITS;
const planOf = (rig: RigRow, ground: Parameters<typeof planInput>[2]['ground'], day: object = {}): GroundPlan => {
  const input = planInput(rig, [], { ground, modifiers: [], speedKmh: null, ...day });
  const plan = input.ok ? planGround(input.value) : input;
  if (!plan.ok) throw new Error(plan.problem.code);
  return plan.value;
};
const plain = (element: HTMLElement): string => (element.textContent ?? '').replace(/\u00a0/g, ' ');

describe('AxleNumbers', () => {
  const shown = (plan: GroundPlan, rig: RigRow) =>
    render(
      <>
        <AxleNumbers plan={plan} units={unitsFor(units, rig.family)} />
        <Reasons plan={plan} units={unitsFor(units, rig.family)} beadHeld={new Set()} />
      </>,
    ).container;

  it('has number, window and floor of each axle, and the speed', () => {
    const rig = sampleRig();
    const text = plain(shown(planOf(rig, 'softSand'), rig));
    expect(text).toContain('Front, cold16psitry 15–16 psinot below 12 psi');
    expect(text).toContain(
      'Front: decided by what the trade runs, fitted to your rig. The floor: below it the bead may leave the rim.',
    );
    expect(text).toContain('Speed: 30 km/h');
  });

  it('says which limit held a number, and what was counted in', () => {
    const rig = sampleRig();
    const text = plain(shown(planOf(rig, 'verySoftSand', { modifiers: ['heat'] }), rig));
    expect(text).toMatch(
      /Front: decided by the lowest that the trade goes, for the bead \(by load, tire and road pressure alone: \d+ psi\)\./,
    );
    expect(text).toContain('Counted in: hot day.');
  });

  it('says what a silent school would have to know, and which stands in', () => {
    const rig = sampleBicycle({ school: 'sidewallMiddle' });
    const text = plain(shown(planOf(rig, 'hardpack'), rig));
    expect(text).toContain(
      'The sidewall’s middle needs the lowest and highest on the sidewall; until then the number comes from “The trade’s starts, by your load and width”.',
    );
  });

  it('leaves the road to the road pressure', () => {
    const rig = sampleRig();
    const text = plain(shown(planOf(rig, 'pavement'), rig));
    expect(screen.getAllByRole('group').map(plain)).toEqual([
      'Front, cold36psithe road pressure you gave',
      'Rear, cold36psithe road pressure you gave',
    ]);
    expect(text).toContain('Decided by: your road pressure.');
    expect(text).not.toContain('try ');
  });
});

describe('WayOfChoosing', () => {
  const asked = (rig: RigRow, ground: GroundCode) => {
    const plan = planOf(rig, ground);
    return (
      <WayOfChoosing
        rig={rig}
        used={plan.school!}
        positions={plan.axles.map(({ position }) => position)}
        beside={besidePlan(plan, units)}
      />
    );
  };

  it.each(Object.entries(SAMPLE_RIGS))(
    'of a %s stand side by side, the one that the number is from chosen',
    (kind, rig) => {
      const ground = groundsFor(familyOf(rig.family))[kind === 'bicycle' || kind === 'farm' ? 2 : 1]!;
      const own = { ...rig, school: null, demo: false };
      const from = schoolsFor(familyOf(rig.family)).indexOf(planOf(own, ground).school!);
      render(asked(own, ground));
      const radios = within(screen.getByRole('radiogroup')).getAllByRole('radio');
      expect(radios.length).toBeGreaterThan(1);
      expect(radios.map((radio) => radio.getAttribute('aria-checked'))).toEqual(
        radios.map((_, index) => String(index === from)),
      );
    },
  );

  it('is asked once: what is kept, the default too, is the rig’s own', () => {
    const rig = sampleRig({ school: null });
    render(asked(rig, 'softSand'));
    fireEvent.click(screen.getByRole('radio', { name: /One table for every rig/ }));
    fireEvent.click(screen.getByText('Keep: by load, tire and road pressure'));
    expect(saved.map(({ school }) => school)).toEqual(['fixedTable', 'deflectionAndShare']);
  });

  it.each([
    ['that has chosen', { school: 'fixedTable' }, 'One table for every rig'],
    ['of the demo', { demo: true, school: null }, 'By load, tire and road pressure'],
  ] as const)('is a line on a rig %s, and opens there', (_, change, name) => {
    render(asked(sampleRig(change), 'softSand'));
    expect(screen.queryByRole('radiogroup')).toBeNull();
    fireEvent.click(screen.getByText(name));
    expect(screen.getByRole('radiogroup')).toBeTruthy();
  });

  it('says for each what cut it off or what it would have to know', () => {
    const rig = sampleRig({
      axles: [sampleAxle('front', { roadKpa: psi(20) }), sampleAxle('rear', { roadKpa: psi(20) })],
    });
    const { container } = render(asked(rig, 'gravel'));
    expect(plain(container)).toContain(
      'Front asks 28, cut off by road pressure. Rear asks 28, cut off by road pressure',
    );
  });

  it('has numbers beside it before anything is weighed, but for those that need a load', () => {
    const first = firstNumbersOf(sampleRig(), [], { ground: 'softSand', modifiers: [], speedKmh: null });
    if (!first.ok) throw new Error(first.problem.code);
    const beside = besideFirst(first.value, units);
    expect(beside('fixedTable').figure).toBe('16 / 16 psi');
    expect(beside('equalDeflection')).toEqual({ figure: undefined, note: 'once it is weighed' });
  });
});

describe('Limits', () => {
  it('lets each limit speak, the binding ones named, no floor rounded down', () => {
    const rig = sampleRig();
    render(<Limits plan={planOf(rig, 'gravel')} units={units} />);
    const front = screen.getByRole('list', { name: 'Limits, front' });
    const rows = within(front).getAllByRole('listitem').map(plain);
    expect(rows).toEqual([
      'Not over: road pressure: this one decidesno firmer off the road than on it36 psi',
      'Not below: bead' + 'below it the bead may leave the rim12 psi',
      'Not below: heat and speed: this one decidesbelow it this load bends the sidewall too far for the speed22 psi',
      'Not below: steeringbelow it the sidewall does not hold a line at this speed17 psi',
      'Not below: load at speedbelow it the tire does not carry this load at this speed14 psi',
    ]);
  });
});

describe('Figures', () => {
  it('compares a bicycle with what it is ridden with now, and leaves out what nobody told', () => {
    const rig = sampleBicycle();
    render(<Figures plan={planOf(rig, 'rock')} rig={rig} units={{ ...units, fine: true }} />);
    const table = screen.getByRole('table', { name: 'Front axle' });
    expect(within(table).queryByText('Now')).not.toBeNull();
    expect(plain(within(table).getByRole('row', { name: /Pressure, cold/ }))).toBe('Pressure, cold–24 psi');
    expect(plain(within(table).getByRole('row', { name: /Carries here/ }))).toMatch(/\d+(\.\d)? kg$/);
  });

  it('says that the load is not known to be carried where nothing tells', () => {
    const rig = sampleRig({ axles: [sampleAxle('front', { tireMarking: '265/65R17' }), sampleAxle('rear')] });
    render(<Figures plan={planOf(rig, 'pavement')} rig={rig} units={units} />);
    const table = screen.getByRole('table', { name: 'Front axle' });
    expect(plain(within(table).getByRole('row', { name: /Carries here/ }))).toContain('not known');
  });
});

describe('FloorPicker', () => {
  beforeEach(() => saved.splice(0));
  const open = (rig: RigRow): void => {
    render(<FloorPicker rig={rig} units={units} />);
    fireEvent.click(screen.getByRole('button', { name: /^The lowest you accept/ }));
  };

  it('offers the trade’s named floors on four wheels', () => {
    open(sampleRig());
    fireEvent.click(screen.getByRole('radio', { name: /Beach/ }));
    expect(saved[0]!.beadFloorKpa).toBeCloseTo(psi(10), 9);
  });

  it('has no names on a quad, but one’s own, within what its trade ever goes to', () => {
    open(SAMPLE_RIGS.quad);
    expect(screen.queryByRole('radio', { name: /Beach/ })).toBeNull();
    fireEvent.change(screen.getByLabelText('Your own lowest in psi'), { target: { value: '2' } });
    expect(screen.queryByText(/Expected 3.psi to 58.psi\./)).not.toBeNull();
    fireEvent.change(screen.getByLabelText('Your own lowest in psi'), { target: { value: '4' } });
    fireEvent.click(screen.getByRole('button', { name: 'Hold my own' }));
    expect(saved[0]!.beadFloorKpa).toBeCloseTo(psi(4), 9);
  });

  it('goes back to the trade’s', () => {
    open(sampleRig({ beadFloorKpa: psi(20) }));
    fireEvent.click(screen.getByRole('button', { name: 'Back to the common one' }));
    expect(saved[0]!.beadFloorKpa).toBeNull();
  });
});
