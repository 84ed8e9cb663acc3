import { useEffect, useRef, type RefObject } from 'react';

interface Drag {
  /** At most once a frame: where the finger is, from 0 at the top of the box to 1 at its foot. */
  readonly move: (share: number) => void;
  /** Where it let go. */
  readonly settle: (share: number) => void;
}

/** What a press and its end are made of: nobody above the box needs to hear of them. */
const PRESSES = [
  ...['pointerdown', 'mousedown', 'touchstart'],
  ...['pointerup', 'mouseup', 'touchend', 'pointercancel', 'touchcancel'],
];
const stay = (event: Event): void => event.stopPropagation();

/** Moves that nobody else needs to hear of while the box is dragged. */
const MOVES = ['pointermove', 'mousemove', 'touchmove'];
const SEIZED = { capture: true, passive: true };

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
    // Before all who listen above the box: to ask each of them takes as long as what is drawn.
    const seize = (event: Event): void => {
      event.stopPropagation();
      if (event.type === 'pointermove') follow(event as PointerEvent);
    };
    const letGo = (): void => {
      for (const type of MOVES) globalThis.removeEventListener(type, seize, SEIZED);
    };
    const begin = (event: PointerEvent): void => {
      element.setPointerCapture(event.pointerId);
      bounds = element.getBoundingClientRect();
      for (const type of MOVES) globalThis.addEventListener(type, seize, SEIZED);
      follow(event);
    };
    const end = (): void => {
      if (!bounds) return;
      bounds = undefined;
      letGo();
      cancelAnimationFrame(frame);
      frame = 0;
      latest.current.settle(share);
    };
    for (const type of PRESSES) element.addEventListener(type, stay, { passive: true });
    element.addEventListener('pointerdown', begin);
    element.addEventListener('lostpointercapture', end);
    return () => {
      cancelAnimationFrame(frame);
      letGo();
      for (const type of PRESSES) element.removeEventListener(type, stay);
      element.removeEventListener('pointerdown', begin);
      element.removeEventListener('lostpointercapture', end);
    };
  }, [box]);
}
