import type { Sheet } from '@dunlinmoss/contract';
import { sheetText } from './sheet';

const sheet: Sheet = {
  title: 'Whimbrel',
  about: 'Cold\u00a0pressures',
  parts: [
    {
      title: 'Labelled',
      lines: [
        ['Tire', '245/75R16'],
        ['Road, cold', '36\u00a0psi'],
      ],
    },
    {
      head: ['Ground', 'Front', 'km/h'],
      rows: [
        ['Soft sand', '15', '30'],
        ['Pavement', '36', '–'],
      ],
    },
    { title: 'Nothing to look at', bullets: [] },
    { title: 'Mind', bullets: ['Air back before pavement.'] },
  ],
  foot: 'The sidewall overrules this card.',
};

describe('sheetText', () => {
  it('stands in columns, without a blank that does not break', () => {
    expect(sheetText(sheet)).toBe(
      [
        'Whimbrel',
        'Cold pressures',
        '',
        'Labelled',
        '  Tire        245/75R16',
        '  Road, cold  36 psi',
        '',
        '  Ground     Front  km/h',
        '  Soft sand  15     30',
        '  Pavement   36     –',
        '',
        'Mind',
        '  ! Air back before pavement.',
        '',
        'The sidewall overrules this card.',
        '',
      ].join('\n'),
    );
  });
});
