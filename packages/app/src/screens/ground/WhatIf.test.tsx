import { contextsOf, familyOf, groundsFor, planGround, psi, whatIf, type WhatIf } from '@dunlinmoss/core';
import { axleOnGauge, planInput } from '@dunlinmoss/domain';
import { SAMPLE_RIGS } from '@dunlinmoss/domain/testing';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import fc from 'fast-check';

import { createStore } from '../../settings/store';
import { FIRST_UNITS, unitsFor } from '../../settings/preferences';
import { tryingOf, type Shown } from './whatIfValues';
import { Following } from './WhatIfFollowers';
import { StaffPanel, Standing } from './WhatIfStaff';

/** The browser's observer: which of them see anything is given by the test. */
let seen = true;
class Observer {
  constructor(readonly tell: (entries: { isIntersecting: boolean }[]) => void) {}
  observe = (): void => this.tell([{ isIntersecting: seen }]);
  disconnect = (): void => undefined;
}
Object.assign(globalThis, { IntersectionObserver: Observer });

/** What waits for a frame; all that follow one another are drawn at once. */
const waiting: FrameRequestCallback[] = [];
Object.assign(globalThis, {
  requestAnimationFrame: (run: FrameRequestCallback) => waiting.push(run),
  cancelAnimationFrame: (id: number) => void delete waiting[id - 1],
});
function drawFrames(): void {
  for (let drawn = 0; waiting.length > 0; drawn += 1) {
    if (drawn > 500) throw new Error('what follows the finger never comes to rest');
    waiting.splice(0).forEach((run) => run?.(performance.now()));
  }
}

/** Every kind of rig, each on a ground of its own, and how it is shown. */
const CASES = Object.entries(SAMPLE_RIGS).flatMap(([kind, rig], index) => {
  const input = planInput(rig, [], {
    ground: groundsFor(familyOf(rig.family))[0]!,
    modifiers: [],
    speedKmh: null,
    loadCaseId: null,
  });
  const plan = input.ok ? planGround(input.value) : undefined;
  if (!input.ok || !plan?.ok) return [];
  const axle = plan.value.axles.at(-1)!;
  const context = contextsOf(input.value).at(-1)!;
  const units = unitsFor({ ...FIRST_UNITS, pressure: index % 2 === 0 ? 'psi' : 'bar' }, rig.family);
  return [{ kind, axle, context, units, marks: axleOnGauge(axle, units) }];
});
type Case = (typeof CASES)[number];

function shown({ axle, context, units, marks }: Case, held: WhatIf | null): { shown: Shown; all: React.ReactNode } {
  const given: Shown = {
    context,
    axle,
    units,
    trying: tryingOf(context, axle, marks.startKpa),
    held: createStore<WhatIf | null>(held),
    roadName: 'road',
  };
  const all = (
    <>
      <Standing {...given} />
      <StaffPanel {...given} marks={marks} beside />
      <Following {...given} />
    </>
  );
  return { shown: given, all };
}

/** The page without the marks of this one rendering, and without what pictures say to those who don't see them. */
const page = (): string =>
  document.body.innerHTML
    .replaceAll(/hatch\w*|r\w*:|_r_\w+_/g, '')
    .replaceAll(/aria-label="[^"]*"/g, '')
    // A style that was written and one that was drawn.
    .replaceAll(/;? ?style=""/g, '');

describe('what follows the finger', () => {
  beforeEach(() => {
    seen = true;
  });

  it('is, written under the finger, exactly what would have been drawn there', () => {
    expect(CASES.map(({ kind }) => kind)).toEqual(Object.keys(SAMPLE_RIGS));
    fc.assert(
      fc.property(
        fc.constantFrom(...CASES),
        fc.double({ min: 0.4, max: 1.6, noNaN: true }),
        fc.option(fc.double({ min: 0.7, max: 1.2, noNaN: true })),
        (given, share, beside) => {
          const { context, axle, marks } = given;
          const kpa = marks.startKpa * share;
          const held = beside === null ? null : whatIf(context, axle, marks.startKpa * beside);
          const dragged = shown(given, held);
          render(dragged.all);
          act(() => dragged.shown.trying.move(kpa));
          act(drawFrames);
          const written = page();
          cleanup();
          const fresh = shown(given, held);
          act(() => fresh.shown.trying.settle(kpa));
          render(fresh.all);
          expect(written).toBe(page());
          cleanup();
        },
      ),
      { seed: 7, numRuns: 30 },
    );
  });

  it('stays as it was out of sight, and is all there when the finger lets go', () => {
    seen = false;
    const { shown: given, all } = shown(CASES[0]!, null);
    render(all);
    const before = page();
    act(() => given.trying.move(psi(11)));
    expect(page()).toBe(before);
    act(() => given.trying.settle(psi(11)));
    expect(screen.getByRole('row', { name: /Pressure, cold/ }).textContent).toContain('11\u00a0psi');
  });

  it('stays under the finger when React draws meanwhile', () => {
    const { shown: given, all } = shown(CASES[0]!, null);
    render(all);
    act(() => given.trying.move(psi(11)));
    act(drawFrames);
    const figures = () =>
      [...document.querySelectorAll('[data-part="Settles by"]')].map(({ textContent }) => textContent!);
    const [dragged] = figures();
    // Kept beside it meanwhile: the figures are drawn anew, by what knows only where it rested.
    act(() => given.held.set(given.trying.live.rest.get().what()));
    expect(screen.getByRole('columnheader', { name: 'Beside' })).toBeTruthy();
    expect(figures()).toEqual([expect.stringContaining(`${dragged!} (`), dragged]);
    // What nobody moves any more waits for no frame.
    expect(waiting).toEqual([]);
  });

  it('says that a tire is flat as soon as it is, and draws it again as soon as it stands', () => {
    const { shown: given, all } = shown(CASES[0]!, null);
    render(all);
    act(() => given.trying.move(0));
    expect(screen.queryByText(/^Squeezed flat/)).not.toBeNull();
    act(() => given.trying.move(psi(16)));
    expect(screen.queryByText(/^Squeezed flat/)).toBeNull();
    expect(screen.getByRole('img', { name: /The wheel from the side/ })).toBeTruthy();
  });

  it('goes by the keys too, a step of the gauge or five', () => {
    const { shown: given, all } = shown(CASES[0]!, null);
    render(all);
    const start = given.trying.live.get().pressureKpa;
    const slider = screen.getByRole('slider');
    fireEvent.keyDown(slider, { key: 'PageDown' });
    fireEvent.keyDown(slider, { key: 'ArrowUp' });
    expect(given.trying.live.get().pressureKpa).toBeCloseTo(start - psi(4), 6);
    expect(slider.getAttribute('aria-valuenow')).toBe(String(Math.round(start - psi(4))));
  });
});
