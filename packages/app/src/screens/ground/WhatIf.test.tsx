import { contextsOf, familyOf, groundsFor, planGround, whatIf } from '@dunlinmoss/core';
import { axleOnGauge, gaugeStepKpa, planInput } from '@dunlinmoss/domain';
import { SAMPLE_RIGS } from '@dunlinmoss/domain/testing';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import fc from 'fast-check';

import type { PlanQuery } from '../../hooks/usePlanQuery';
import { FIRST_UNITS, unitsFor } from '../../settings/preferences';
import { pressure, pressureNumber } from '../../words/format';
import { OfAxles } from './WhatIfScreen';

jest.mock('expo-router', () => ({ usePathname: () => '/' }));

/** Every kind of rig, each on a ground of its own. */
const CASES = Object.entries(SAMPLE_RIGS).flatMap(([kind, rig], index) => {
  const family = familyOf(rig.family);
  const asked = { ground: groundsFor(family)[0]!, modifiers: [], speedKmh: null, loadCaseId: null };
  const input = planInput(rig, [], asked);
  const plan = input.ok ? planGround(input.value) : undefined;
  if (!input.ok || !plan?.ok) return [];
  const units = unitsFor({ ...FIRST_UNITS, pressure: index % 2 === 0 ? 'psi' : 'bar' }, rig.family);
  const question = { rig, family, tests: [], asked, units } as unknown as PlanQuery;
  return [{ kind, units, question, plan: plan.value, contexts: contextsOf(input.value) }];
});

const draw = ({ question, plan, contexts }: (typeof CASES)[number]) =>
  render(<OfAxles question={question} plan={plan} contexts={contexts} onBack={() => undefined} />);
// By the page's own means: to ask Testing Library for a role takes a second in a page of this size.
const slider = () => document.querySelector<HTMLInputElement>('input[type=range]')!;
const drag = (steps: number) => fireEvent.change(slider(), { target: { value: String(steps) } });
const pressureRow = () =>
  [...document.querySelectorAll('[role=row]')].find(({ textContent }) => textContent.startsWith('Pressure, cold'))!;

describe('What if', () => {
  it('shows what an axle of any kind of rig does at the pressure that the staff is dragged to', () => {
    expect(CASES.map(({ kind }) => kind)).toEqual(Object.keys(SAMPLE_RIGS));
    fc.assert(
      fc.property(fc.constantFrom(...CASES), fc.double({ min: 0, max: 1, noNaN: true }), (given, share) => {
        const { plan, contexts, units } = given;
        draw(given);
        const steps = Math.round(share * Number(slider().getAttribute('max')));
        drag(steps);
        const kpa = steps * gaugeStepKpa(units);
        const expected = whatIf(contexts[0]!, plan.axles[0]!, kpa);
        const isPast = expected.limits.some(({ insideKpa }) => insideKpa < -1e-6);
        expect(screen.getByText(pressureNumber(kpa, units), { selector: 'div' })).toBeTruthy();
        expect(pressureRow().textContent).toContain(pressure(kpa, units));
        expect(screen.queryAllByText(/^Past /)).toHaveLength(isPast ? 1 : 0);
        expect(screen.queryAllByText(/^Squeezed flat/)).toHaveLength(expected.patch ? 0 : 1);
        cleanup();
      }),
      { seed: 7, numRuns: 30 },
    );
  });

  it('keeps a pressure to compare with, and goes back to the plan', () => {
    const [given] = CASES;
    draw(given!);
    const { startKpa } = axleOnGauge(given!.plan.axles[0]!, given!.units);
    const planned = slider().getAttribute('aria-valuetext')!;
    expect(planned).toBe(pressure(startKpa, given!.units));
    fireEvent.click(screen.getByText('Keep this beside it'));
    drag(11);
    expect(screen.getByRole('columnheader', { name: 'Beside' })).toBeTruthy();
    expect(pressureRow().textContent).toBe(`Pressure, cold${planned}11\u00a0psi`);
    fireEvent.click(screen.getByText('Back to the plan'));
    expect(pressureRow().textContent).toBe(`Pressure, cold${planned}${planned}`);
  });
});
