import type { Paper, Sheet } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';
import { sheetsPdf } from '@dunlinmoss/paper';
import { facesHere } from '@dunlinmoss/paper/faces';
import { PDFDocument } from 'pdf-lib';

import { FIRST_UNITS, type Units } from '../settings/preferences';
import { SAMPLE_RIGS, sampleAxle, sampleCase, sampleRig } from '@dunlinmoss/domain/testing';
import { pressureCard } from './pressureCard';
import { rigCard } from './rigCard';
import { sheetText } from './sheet';

const units: Units = FIRST_UNITS;
const NOW = '2026-05-02T08:00:00.000Z';
const rig = sampleRig({
  name: 'Żuraw – crane № 7',
  axles: [sampleAxle('front', { maxKpa: psi(51), ratingKg: 1100 }), sampleAxle('rear', { maxKpa: psi(51) })],
  loadCases: [sampleCase(), sampleCase({ id: '0192f000-0000-7000-8000-000000000012', name: 'Empty', weighed: [] })],
});

describe('rigCard as text', () => {
  it('says what is on each wheel, what that may be and what is wrong', () => {
    const text = sheetText(rigCard(rig, [], units, NOW));
    const lines = text.split('\n').map((line) => line.trim().replace(/ {2,}/g, ' | '));
    expect(lines.slice(0, 10)).toEqual([
      'Żuraw – crane № 7',
      'Four-wheel drive · loaded: Touring · 2 May 2026',
      '',
      'Front axle',
      'Tire | 265/65R17 112T',
      'Load | left 560 kg, right 570 kg (weighed)',
      'Road, cold | 36 psi',
      // 1120 kg at the sidewall's maximum of 51 psi, by the exponent of passenger tires: 1120 × (36/51)^0.8.
      'Carries there | 1114 kg a wheel (estimate)',
      'Sidewall | maximum 51 psi',
      'Axle rating | 1100 kg',
    ]);
    expect(lines).toContain('Touring | 1130 kg + 1390 kg = 2520 kg');
    expect(lines).toContain('Empty | not all entered');
    expect(text).toContain('! Front axle: 1130 kg stand on it, and it is rated for 1100 kg. Unload');
    expect(text).toContain('qualified tire fitter overrule');
  });

  it('has no line for what is not known', () => {
    const bare = sampleRig({ axles: [sampleAxle('front', { roadKpa: null }), sampleAxle('rear')], loadCases: [] });
    const [front] = rigCard(bare, [], units, NOW).parts;
    expect(front).toEqual({ title: 'Front axle', lines: [['Tire', '265/65R17 112T']] });
  });
});

describe('cards on paper', () => {
  const fonts = facesHere();
  const pdfOf = async (card: Sheet, paper: Paper): Promise<PDFDocument> =>
    PDFDocument.load(await sheetsPdf({ name: card.title, paper, sheets: [card] }, fonts));

  it.each(Object.entries(SAMPLE_RIGS))('puts every ground of a %s on one page of A6', async (_, each) => {
    const read = await pdfOf(pressureCard(each, [], null, units, NOW), 'A6');
    expect(read.getPageCount()).toBe(1);
    expect(read.getPage(0).getSize()).toEqual({ width: 297.64, height: 419.53 });
  });

  it('still is one page for a rig with three axles and thirty load cases', async () => {
    const many = Array.from({ length: 30 }, (_, index) =>
      sampleCase({ id: `0192f000-0000-7000-8000-0000000001${10 + index}`, name: `Load case number ${index}` }),
    );
    const card = rigCard(sampleRig({ axles: [...rig.axles], loadCases: many }), [], units, NOW);
    expect((await pdfOf(card, 'A5')).getPageCount()).toBe(1);
  });
});

describe('pressureCard', () => {
  const text = (of: (typeof SAMPLE_RIGS)['car'], own = units): string =>
    sheetText(pressureCard(of, [], null, own, NOW));

  it('has a ladder whose speeds fall with the pressure, for those that have a guide', () => {
    const ladder = text(SAMPLE_RIGS.car).split('How fast on how little')[1]!.split('Mind')[0]!;
    const rungs = [...ladder.matchAll(/(\d+) km\/h +≥ (\d+)/g)].map(([, kmh, least]) => [Number(kmh), Number(least)]);
    expect(rungs.length).toBeGreaterThan(2);
    rungs.slice(1).forEach(([kmh, least], index) => {
      expect(kmh).toBeLessThan(rungs[index]![0]!);
      expect(least).toBeLessThanOrEqual(rungs[index]![1]!);
    });
    expect(text(SAMPLE_RIGS.bicycle)).not.toContain('How fast on how little');
  });

  it('says why where there is no number', () => {
    const crushed = { ...SAMPLE_RIGS.car, loadCases: [sampleCase({ weighed: [] })] };
    expect(text(crushed)).toMatch(/No number\n.*no weight yet/s);
  });

  it('has every ground with start, window, floor and speed of each axle, in one load case', () => {
    const lines = text(SAMPLE_RIGS.car)
      .split('\n')
      .map((line) => line.trim().replace(/ {2,}/g, ' | '));
    expect(lines[1]).toBe(
      'Cold pressures in psi · Four-wheel drive · loaded: Touring · 570 kg / 700 kg a wheel · by load, tire and road pressure · 2 May 2026',
    );
    expect(lines).toContain('Ground | Front axle | Rear axle | km/h');
    expect(lines).toContain('Pavement | 36 | 36 | –');
    expect(lines).toContain('Soft sand | 16 (15–16) ≥ 12 | 17 (16–17) ≥ 16 | 30');
    expect(lines).toContain('Stuck | 8 (6–8) ≥ 6 | 9 (8–9) ≥ 8 | walk');
    expect(text(SAMPLE_RIGS.car)).toContain('! Air back to road pressure before pavement.');
  });

  it('is in the unit of the person, and to half a psi for a bicycle', () => {
    expect(text(SAMPLE_RIGS.car, { ...units, pressure: 'bar' })).toMatch(/Pavement +2\.50 +2\.50/);
    expect(text(SAMPLE_RIGS.bicycle)).toMatch(/Loose gravel +22 \(21–23\) ≥ 15\.5/);
  });

  it('says where there is no safe pressure instead of leaving it out', () => {
    const heavy = sampleRig({
      loadCases: [
        sampleCase({
          weighed: [
            { position: 'front', part: 'axle', loadKg: 1130 },
            { position: 'rear', part: 'axle', loadKg: 3600 },
          ],
        }),
      ],
    });
    expect(text(heavy)).toMatch(/Soft sand +no safe pressure +no safe pressure +–/);
  });
});
