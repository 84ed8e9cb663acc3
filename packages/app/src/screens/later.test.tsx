import { act, render } from '@testing-library/react';

import { Afterwards } from './later';

let drawn = 0;
/** It would ask for the code of the other screens as soon as it is drawn. */
function Other() {
  drawn += 1;
  return 'the staff';
}

describe('a part of the first screen that comes with the other screens', () => {
  it('is drawn only once what stands around it has been seen, and not at all where one has left by then', async () => {
    const frames: FrameRequestCallback[] = [];
    const spied = jest.spyOn(globalThis, 'requestAnimationFrame').mockImplementation((run) => frames.push(run));
    const cancelled = jest.spyOn(globalThis, 'cancelAnimationFrame');
    const { container, unmount } = render(
      <div>
        {'around it, '}
        <Afterwards>
          <Other />
        </Afterwards>
      </div>,
    );
    expect(container.textContent).toBe('around it, ');
    // Two frames: the first is the one that it is drawn in.
    await act(async () => frames[0]!(0));
    expect(drawn).toBe(0);
    await act(async () => frames[1]!(16));
    expect(container.textContent).toBe('around it, the staff');
    unmount();

    const other = render(
      <Afterwards>
        <Other />
      </Afterwards>,
    );
    expect(frames).toHaveLength(3);
    other.unmount();
    expect(cancelled).toHaveBeenLastCalledWith(3);
    spied.mockRestore();
    cancelled.mockRestore();
  });
});
