import fc from 'fast-check';

import {
  appended,
  chosen,
  finished,
  inserted,
  openForm,
  problemsByField,
  removed,
  valueAt,
  withValue,
  type RowForm,
} from './rowForm';

interface Row {
  readonly name: string;
  readonly roadKpa: number | null;
  readonly lines: readonly { readonly pressureKpa: number | null; readonly loadKg: number | null }[];
}
const row: Row = {
  name: 'Knot',
  roadKpa: 350.25,
  lines: [
    { pressureKpa: 345.1, loadKg: 1000.2 },
    { pressureKpa: 551.7, loadKg: 1380.4 },
  ],
};
const typed = (text: string) => ({ text, unit: 'psi' });
/** Whatever a row may be made of, but for what a form itself leaves out: items of a list with nothing in them. */
const anyRow = fc
  .dictionary(
    fc.stringMatching(/^[a-z]{1,6}$/),
    fc.oneof(fc.double({ noNaN: true }), fc.string(), fc.boolean(), fc.constant(null), fc.array(fc.integer())),
    { noNullPrototype: true },
  )
  .chain((parts) => fc.constantFrom<object>(parts, { parts, list: [{ ...parts, kept: 1 }] }));

describe('finished', () => {
  it('gives back every row as it was, where nobody touched a field', () => {
    fc.assert(
      fc.property(anyRow, (whole) => {
        expect(finished(openForm(whole)).row).toEqual(whole);
      }),
      { seed: 20261127 },
    );
  });

  it('marks text that is no number, wherever it was typed, and leaves an empty field empty', () => {
    const form: RowForm<Row> = { row: { ...row, roadKpa: null }, texts: { '/roadKpa': typed('5o') } };
    expect(finished(form).row.roadKpa).toBeNaN();
    expect(finished({ ...form, texts: { '/roadKpa': typed(' ') } }).row.roadKpa).toBeNull();
  });

  it('leaves out items with nothing in them, and says where the others were', () => {
    const form = openForm({ ...row, lines: [{ pressureKpa: null, loadKg: null }, ...row.lines] });
    const { row: whole, inForm } = finished(form);
    expect(whole.lines).toEqual(row.lines);
    expect(inForm('/lines/1/loadKg')).toBe('/lines/2/loadKg');
    expect(inForm('/name')).toBe('/name');
  });

  it('keeps an item that was typed half', () => {
    const form = openForm({ ...row, lines: [{ pressureKpa: null, loadKg: 900 }] });
    expect(finished(form).row.lines).toHaveLength(1);
    const unreadable = { ...openForm({ ...row, lines: [{ pressureKpa: null, loadKg: null }] }) };
    expect(finished({ ...unreadable, texts: { '/lines/0/loadKg': typed('heavy') } }).row.lines).toHaveLength(1);
  });
});

describe('withValue', () => {
  it('changes what it is told to, and nothing beside', () => {
    const changed = withValue(row, '/lines/1/loadKg', 5);
    expect(valueAt(changed, '/lines/1/loadKg')).toBe(5);
    expect(withValue(changed, '/lines/1/loadKg', 1380.4)).toEqual(row);
    expect(changed.lines[0]).toBe(row.lines[0]);
  });

  it('makes the way to a place that is not there yet', () => {
    expect(withValue({ present: null }, '/present/rawKpa', 90)).toEqual({ present: { rawKpa: 90 } });
    expect(valueAt({ present: null }, '/present/rawKpa')).toBeUndefined();
  });
});

describe('lists', () => {
  const form: RowForm<Row> = {
    row,
    texts: { '/lines/0/loadKg': typed('first'), '/lines/1/loadKg': typed('second'), '/name': typed('else') },
  };

  it('keep what was typed with its own item when another goes', () => {
    expect(removed(form, ['/lines'], 0)).toEqual({
      row: { ...row, lines: [row.lines[1]] },
      texts: { '/lines/0/loadKg': typed('second'), '/name': typed('else') },
    });
  });

  it('are again as they were when an item comes back to its place', () => {
    const { [`/lines/0/loadKg`]: _, ...texts } = form.texts;
    expect(inserted(removed(form, ['/lines'], 0), '/lines', 0, row.lines[0])).toEqual({ row, texts });
  });

  it('grow and change in all the places that one field speaks for', () => {
    const two = openForm({ first: [1], second: [2] });
    expect(appended(two, ['/first', '/second'], 3).row).toEqual({ first: [1, 3], second: [2, 3] });
    expect(chosen(two, ['/first', '/second'], []).row).toEqual({ first: [], second: [] });
  });
});

describe('problemsByField', () => {
  const at = (path: string) => ({ path });
  it.each([
    ['its own field', '/axles/0/roadKpa', ['/axles/0/roadKpa', '/name'], '/axles/0/roadKpa'],
    ['a field within it', '/duty', ['/name', '/duty/onMin'], '/duty/onMin'],
    ['the field it is part of', '/axles/0/present/gaugeId', ['/axles/0/present', '/axles/0'], '/axles/0/present'],
    ['the form, where there is none', '/axles', ['/name'], ''],
  ])('says a problem at %s', (_, path, fields, expected) => {
    expect([...problemsByField([at(path)], fields).keys()]).toEqual([expected]);
  });

  it('says the first of several for one field', () => {
    const told = problemsByField(
      [
        { path: '/name', code: 'a' },
        { path: '/name', code: 'b' },
      ] as never,
      ['/name'],
    );
    expect([...told.values()]).toEqual([{ path: '/name', code: 'a' }]);
  });
});
