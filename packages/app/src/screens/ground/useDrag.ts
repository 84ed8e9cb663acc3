import { useEffect, useRef, type RefObject } from 'react';

interface Drag {
  /** At most once a frame: where the finger is, from 0 at the top of the box to 1 at its foot. */
  readonly move: (share: number) => void;
  /** Where it let go. */
  readonly settle: (share: number) => void;
}

/** Moves that nobody above the box needs to hear of. */
const MOVES = ['pointermove', 'mousemove', 'touchmove'];

/**
 * Follows a finger or a mouse over a box. Not by React's events: going through all that listen to those takes longer than
 * what is drawn.
 */
export function useDrag(box: RefObject<HTMLElement | null>, drag: Drag): void {
  const latest = useRef(drag);
  useEffect(() => {
    latest.current = drag;
  });
  useEffect(() => {
    const element = box.current!;
    let frame = 0;
    let share = 0;
    /** While it is dragged nothing scrolls. */
    let bounds: DOMRect | undefined;
    const follow = (event: PointerEvent): void => {
      if (!bounds) return;
      share = (event.clientY - bounds.top) / bounds.height;
      frame ||= requestAnimationFrame(() => {
        frame = 0;
        latest.current.move(share);
      });
    };
    const begin = (event: PointerEvent): void => {
      element.setPointerCapture(event.pointerId);
      bounds = element.getBoundingClientRect();
      follow(event);
    };
    const end = (): void => {
      if (!bounds) return;
      bounds = undefined;
      cancelAnimationFrame(frame);
      frame = 0;
      latest.current.settle(share);
    };
    const keep = (event: Event): void => {
      if (bounds) event.stopPropagation();
    };
    element.addEventListener('pointerdown', begin);
    element.addEventListener('pointermove', follow);
    element.addEventListener('lostpointercapture', end);
    for (const type of MOVES) element.addEventListener(type, keep, { passive: true });
    return () => {
      cancelAnimationFrame(frame);
      element.removeEventListener('pointerdown', begin);
      element.removeEventListener('pointermove', follow);
      element.removeEventListener('lostpointercapture', end);
      for (const type of MOVES) element.removeEventListener(type, keep);
    };
  }, [box]);
}
