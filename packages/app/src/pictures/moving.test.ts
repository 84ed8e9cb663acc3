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
    const write = writerOf(box);
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
    writerOf(box)(at('15', 'M2,2'));
    expect([number.textContent, line.getAttribute('d')]).toEqual(['15', 'M2,2']);
    set.mockRestore();
  });

  it('leaves alone what is not told', () => {
    const { box, line } = drawn();
    writerOf(box)({ line: { d: undefined } });
    expect(line.getAttribute('d')).toBe('M0,0');
  });
});
