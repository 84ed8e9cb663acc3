import { writerOf } from './moving';

const drawn = (): { box: HTMLElement; number: HTMLElement; line: Element } => {
  const box = document.createElement('div');
  box.innerHTML =
    '<span data-part="number">16</span><svg><path data-part="line" d="M0,0" stroke-width="1"></path></svg>';
  return {
    box,
    number: box.querySelector<HTMLElement>('[data-part=number]')!,
    line: box.querySelector('[data-part=line]')!,
  };
};

describe('what is written into a picture under the finger', () => {
  it('is written where it changed, and nothing is said again', () => {
    const { box, number, line } = drawn();
    const { all: write } = writerOf(box);
    const set = jest.spyOn(Element.prototype, 'setAttribute');
    const text = number.firstChild!;
    const at = (psi: string, d: string) => ({
      number: { words: psi, style: { color: 'red' }, role: 'status' },
      line: { d, strokeWidth: 2 },
      undrawn: { d },
    });

    write(at('15', 'M1,1'));
    expect(number.textContent).toBe('15');
    // React finds its own text again.
    expect(number.firstChild).toBe(text);
    expect(number.style.color).toBe('red');
    expect(line.getAttribute('stroke-width')).toBe('2');
    expect(set.mock.calls.map(([name]) => name)).toEqual(['role', 'd', 'stroke-width']);

    set.mockClear();
    write(at('15', 'M2,2'));
    expect(set.mock.calls).toEqual([['d', 'M2,2']]);

    // Drawn anew by React as it was at first: who writes then begins without a memory.
    number.firstChild!.textContent = '16';
    line.setAttribute('d', 'M0,0');
    writerOf(box).all(at('15', 'M2,2'));
    expect([number.textContent, line.getAttribute('d')]).toEqual(['15', 'M2,2']);
    set.mockRestore();
  });

  it('is written a third at a time, each part in its turn, and ends the same', () => {
    const box = document.createElement('div');
    box.innerHTML = [0, 1, 2, 3, 4, 5].map((each) => `<b data-part="p${each}">0</b>`).join('');
    const { some, all } = writerOf(box);
    const at = (words: string) => Object.fromEntries([0, 1, 2, 3, 4, 5].map((each) => [`p${each}`, { words }]));
    expect(some(at('1'))).toBe(true);
    expect(box.textContent).toBe('110000');
    // It has moved on meanwhile: nobody waits for ever.
    expect(some(at('2'))).toBe(true);
    expect(box.textContent).toBe('112200');
    some(at('2'));
    some(at('2'));
    expect(box.textContent).toBe('222222');
    expect(some(at('2'))).toBe(false);
    expect(all({ ...at('2'), p4: { words: '3' } })).toBe(true);
    expect(box.textContent).toBe('222232');
    expect(writerOf(document.createElement('div')).some(at('1'))).toBe(false);
  });

  it('leaves alone what is not told', () => {
    const { box, line } = drawn();
    writerOf(box).all({ line: { d: undefined } });
    expect(line.getAttribute('d')).toBe('M0,0');
  });
});
