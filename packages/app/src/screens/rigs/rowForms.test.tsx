import {
  airTool,
  bodyOf,
  gauge,
  rig as rigSchema,
  type AirToolRow,
  type BodyOf,
  type GaugeRow,
  type ResourceName,
  type RigRow,
} from '@dunlinmoss/contract';
import { arbitraryOf, nearby } from '@dunlinmoss/contract/testing';
import { familyOf, FINDING_CODES, psi } from '@dunlinmoss/core';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import fc from 'fast-check';
import type { ReactElement } from 'react';

import { FIRST_UNITS, withUnit, unitsStore } from '../../settings/preferences';
import { fullRig, SAMPLE_RIGS, sampleAxle, sampleBicycle, sampleCase, sampleRig } from '@dunlinmoss/domain/testing';
import { AskedField } from '../../forms/askedField';
import { wayToFinding, wayToMissing } from '../../hooks/wayTo';
import { METHOD_WORDS } from '../../words/loads';
import { GaugeForm } from './GaugeScreen';
import { LoadForm } from './LoadForm';
import { RigForm } from './RigForm';
import { ToolForm } from './ToolScreen';

const mockSaved: [ResourceName, BodyOf<ResourceName>][] = [];
jest.mock('../../data/outbox', () => ({
  save: (name: ResourceName, body: BodyOf<ResourceName>) => {
    mockSaved.push([name, body]);
    return Promise.resolve({ kind: 'waiting' });
  },
}));
jest.mock('../../data/gauges', () => ({ ...jest.requireActual('../../data/gauges'), useGauges: () => [] }));
jest.mock('../../data/tests', () => ({ useTestsOf: () => [] }));
jest.mock('../../components/archiveAndSay', () => ({ archiveAndSay: jest.fn() }));
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: jest.fn() }),
  usePathname: () => '/',
  useLocalSearchParams: () => ({}),
}));

const stamps = { createdAt: '2026-05-01T08:00:00.000Z', updatedAt: '2026-05-02T08:00:00.000Z' };
// By text and label: roles are looked up through the whole page, which takes seconds on these.
const button = (name: RegExp | string) => screen.getByText(name);
const field = (name: string | RegExp) => screen.getAllByLabelText(name)[0] as HTMLInputElement;
const type = (name: string | RegExp, text: string) => fireEvent.change(field(name), { target: { value: text } });

/** Opens a form, does something in it, saves, and gives back what was sent. */
async function saving(form: ReactElement, press: RegExp, change: () => void = () => undefined) {
  mockSaved.length = 0;
  localStorage.clear();
  render(form);
  change();
  await act(async () => {
    fireEvent.click(button(press));
    await Promise.resolve();
  });
  const [sent] = mockSaved;
  cleanup();
  return sent?.[1];
}
const savingRig = (row: RigRow, change?: () => void) =>
  saving(<RigForm family={row.family} row={row} />, /^Save the changes/, change);
const savingLoad = (row: RigRow, change?: () => void) =>
  saving(<LoadForm rig={row} loadCase={row.loadCases[0]} />, /^Save this load/, change);

beforeEach(() => {
  unitsStore.set(withUnit(FIRST_UNITS, 'mass', 'lb'));
  localStorage.clear();
});
afterEach(cleanup);

const runs = (numRuns: number) => ({ numRuns, seed: 20261127 });
/** Forms are drawn whole, again and again, ms. */
jest.setTimeout(60_000);

describe('opened and saved untouched, every field is as it was', () => {
  it.each([
    ['a rig with every optional field filled', fullRig()],
    ['a bicycle', sampleBicycle()],
    ['a tractor', SAMPLE_RIGS.farm],
  ])('of %s', async (_, row) => {
    expect(await savingRig(row)).toEqual(bodyOf('rigs', row));
  });

  it('of rigs near it', async () => {
    const { createdAt: _, updatedAt: __, ...example } = fullRig();
    await fc.assert(
      fc.asyncProperty(nearby(rigSchema, [example]), async (input) => {
        const row = { ...rigSchema.parse(input), ...stamps };
        expect(await savingRig(row)).toEqual(bodyOf('rigs', row));
      }),
      runs(6),
    );
  });

  it.each([
    ['scales, with what other ways know', sampleCase({ ...fullRig().loadCases[0]!, method: 'scales' })],
    ['moments', sampleCase({ ...fullRig().loadCases[0]!, method: 'moments' })],
    ['the whole, split', sampleCase({ ...fullRig().loadCases[0]!, method: 'split' })],
    ['a posture', sampleCase({ ...fullRig().loadCases[0]!, method: 'posture' })],
  ])('of a load case by %s', async (_, loadCase) => {
    const row = fullRig({ loadCases: [loadCase], loadCaseId: loadCase.id });
    expect(await savingLoad(row)).toEqual(bodyOf('rigs', row));
  });

  it('of any gauge', async () => {
    await fc.assert(
      fc.asyncProperty(arbitraryOf(gauge), async (input) => {
        const row: GaugeRow = { ...gauge.parse(input), ...stamps };
        expect(await saving(<GaugeForm row={row} />, /^Save the changes/)).toEqual(bodyOf('gauges', row));
      }),
      runs(12),
    );
  });

  it('of any air tool', async () => {
    await fc.assert(
      fc.asyncProperty(arbitraryOf(airTool), async (input) => {
        const row: AirToolRow = { ...airTool.parse(input), ...stamps };
        expect(await saving(<ToolForm row={row} />, /^Save the changes/)).toEqual(bodyOf('tools', row));
      }),
      runs(12),
    );
  });
});

describe('sent to a field', () => {
  /** Where the fields are that somebody is sent to from findings and from plans that wait. */
  const asked = (row: RigRow): string[] => {
    const position = row.axles[0]!.position;
    const finding = (code: string, more: object = {}) =>
      ({ code, position, at: 'road', bias: position, rear: position, neededKpa: 200, ...more }) as never;
    const hrefs = [
      ...FINDING_CODES.map((code) => wayToFinding(row, finding(code))),
      wayToFinding(row, finding('pressureOutsideSidewall', { at: 'present' })),
      wayToMissing(row, { code: 'roadMissing', position }),
      wayToMissing(row, { code: 'placardAboveSidewall', position, placardKpa: 9, maxKpa: 8 }),
      ...(familyOf(row.family).asks.includes('dataSheet')
        ? [wayToMissing(row, { code: 'noSchoolAnswers', needs: ['pressureBesideLoad'] })]
        : []),
    ];
    const params = hrefs.map((href) => (href as { params?: { at?: string } }).params);
    return [...new Set(params.flatMap((each) => each?.at ?? []))];
  };

  it.each([
    ['a wagon', sampleRig()],
    ['a tractor', SAMPLE_RIGS.farm],
    ['a bicycle', sampleBicycle()],
  ])('of %s, the form shows it with the keyboard in it', (_, row) => {
    const present = { rawKpa: 100, gaugeId: null, offsetKpa: 0 };
    const whole = { ...row, axles: row.axles.map((axle) => ({ ...axle, present })) };
    // A rim's width is asked of bicycles alone, and only theirs is ever found wrong.
    const ways = asked(whole).filter(
      (at) => !at.endsWith('rimInnerMm') || familyOf(row.family).asks.includes('rimWidth'),
    );
    expect(ways.length).toBeGreaterThan(3);
    for (const at of ways) {
      render(
        <AskedField.Provider value={at}>
          <RigForm family={row.family} row={whole} />
        </AskedField.Provider>,
      );
      expect([at, document.activeElement?.tagName]).toEqual([at, expect.stringMatching(/INPUT|TEXTAREA/)]);
      cleanup();
    }
  });
});

describe('RigForm', () => {
  const row = sampleRig({
    axles: [sampleAxle('front', { roadKpa: 350.25, fittedAt: stamps.createdAt }), sampleAxle('rear')],
  });

  it('changes the field that was typed into, and no other', async () => {
    const sent = (await savingRig(row, () => type(/^Rear axle: .*in psi/, '41'))) as RigRow;
    expect(sent.axles[1]!.roadKpa).toBeCloseTo(psi(41), 9);
    expect({ ...sent, axles: [sent.axles[0], { ...sent.axles[1]!, roadKpa: psi(36) }] }).toEqual(bodyOf('rigs', row));
  });

  it('tells all axles that wear the same tire, a trailer’s not among them', async () => {
    const towing = sampleRig({ axles: [...row.axles, sampleAxle('trailer', { tireMarking: '185R14C 102/100R' })] });
    const sent = (await savingRig(towing, () => {
      type(/^Tire size/, 'LT285/70R17 121/118Q E');
    })) as RigRow;
    expect(sent.axles.map(({ tireMarking, loadRange }) => [tireMarking, loadRange])).toEqual([
      ['LT285/70R17 121/118Q E', 'E'],
      ['LT285/70R17 121/118Q E', 'E'],
      ['185R14C 102/100R', 'standard'],
    ]);
    expect(sent.axles[0]!.fittedAt).toBe(stamps.createdAt);
  });

  it('gives a second trailer axle the tire of the first, and tells both from then on', async () => {
    const tanker = sampleRig({ family: 'farmTrailer', axles: [sampleAxle('trailer', { tireMarking: '600/50-22.5' })] });
    const sent = (await savingRig(tanker, () => {
      fireEvent.click(button(/^A second axle/));
      type(/^Tire size/, '560/60R22.5');
    })) as RigRow;
    expect(sent.axles.map(({ position, tireMarking }) => [position, tireMarking])).toEqual([
      ['trailer', '560/60R22.5'],
      ['trailer2', '560/60R22.5'],
    ]);
  });

  it.each([
    ['a pressure that is no number', /^Front axle: .*in psi/, '5o', /Expected a number/],
    ['a tire size that can’t be read', /^Tire size/, 'round', /can't be read/],
  ])('refuses %s beside its field, and keeps what was typed', async (_, name, text, said) => {
    mockSaved.length = 0;
    render(<RigForm family="fourWheel" row={row} />);
    type(name, text);
    await act(async () => fireEvent.click(button(/^Save the changes/)));
    expect(mockSaved).toEqual([]);
    expect(screen.getByText(said)).toBeTruthy();
    expect(field(name).value).toBe(text);
  });

  it('says what is wrong with a field that was folded away when it is shown again', async () => {
    mockSaved.length = 0;
    render(<RigForm family="fourWheel" row={row} />);
    const fold = () => fireEvent.click(screen.getAllByText(/^In it now/)[0]!);
    fold();
    type(/^Front axle: read on the gauge now/, '3x');
    fold();
    await act(async () => fireEvent.click(button(/^Save the changes/)));
    expect(mockSaved).toEqual([]);
    fold();
    expect(field(/^Front axle: read on the gauge now/).value).toBe('3x');
    expect(screen.getByText(/Expected a number/)).toBeTruthy();
  });

  it('refuses a new rig without a name and a tire, each beside its field', async () => {
    mockSaved.length = 0;
    render(<RigForm family="gravelBike" row={undefined} />);
    await act(async () => fireEvent.click(button(/^Save this rig/)));
    expect(mockSaved).toEqual([]);
    expect(screen.getAllByText(/at least a letter or two/)).toHaveLength(1);
    expect(screen.getAllByText(/Expected the size on the sidewall/)).toHaveLength(1);
    type(/^Name/, 'Ruff');
    type(/^Tire size/, '700x42C');
    await act(async () => fireEvent.click(button(/^Save this rig/)));
    expect(mockSaved[0]![1]).toMatchObject({
      name: 'Ruff',
      axles: [{ tireMarking: '700x42C' }, { tireMarking: '700x42C' }],
    });
  });

  it('keeps a draft for the next time, and drops it when told', async () => {
    render(<RigForm family="fourWheel" row={row} />);
    type(/^Rear axle: .*in psi/, '4x');
    cleanup();
    render(<RigForm family="fourWheel" row={row} />);
    expect(field(/^Rear axle: .*in psi/).value).toBe('4x');
    fireEvent.click(button(/^Drop what I changed/));
    expect(field(/^Rear axle: .*in psi/).value).toBe('36');
  });
});

describe('LoadForm', () => {
  it('refuses a weight that is no number beside its own field', async () => {
    mockSaved.length = 0;
    render(<LoadForm rig={sampleRig()} loadCase={sampleCase()} />);
    type(/^Rear axle: right/, 'heavy');
    await act(async () => fireEvent.click(button(/^Save this load/)));
    expect(mockSaved).toEqual([]);
    expect(screen.getByText(/Expected a number/)).toBeTruthy();
  });

  it('brings weights back with the parts that were weighed', async () => {
    const row = sampleRig();
    const sent = (await savingLoad(row, () => {
      fireEvent.click(screen.getAllByText('Whole axle')[0]!);
      fireEvent.click(screen.getAllByText('Each wheel')[0]!);
    })) as RigRow;
    const weighed = sent.loadCases[0]!.weighed.filter(({ position }) => position === 'front');
    expect(weighed.map(({ part, loadKg }) => [part, Math.round(loadKg)])).toEqual([
      ['left', 560],
      ['right', 570],
    ]);
  });

  it('refuses a name that another load case has', async () => {
    mockSaved.length = 0;
    const second = sampleCase({ id: '0192f000-0000-7000-8000-0000000000ff', name: 'Empty' });
    render(<LoadForm rig={sampleRig({ loadCases: [sampleCase(), second] })} loadCase={second} />);
    type(/^What this load is called/, 'TOURING');
    await act(async () => fireEvent.click(button(/^Save this load/)));
    expect(mockSaved).toEqual([]);
    expect(screen.getByText(/has this name/)).toBeTruthy();
  });

  it('asks a rider’s weight where the posture tells the loads', async () => {
    mockSaved.length = 0;
    render(<LoadForm rig={sampleBicycle({ loadCases: [] })} loadCase={undefined} />);
    fireEvent.click(button(METHOD_WORDS.posture.name));
    type(/^What this load is called/, 'Ridden');
    type(/^Rider/, '163');
    type(/^Front wheel/, '42,5');
    await act(async () => fireEvent.click(button(/^Save this load/)));
    expect(mockSaved).toEqual([]);
    type(/^Bicycle/, '24');
    await act(async () => fireEvent.click(button(/^Save this load/)));
    expect((mockSaved[0]![1] as RigRow).loadCases[0]!.posture).toMatchObject({ frontShare: expect.closeTo(0.425, 9) });
  });
});
