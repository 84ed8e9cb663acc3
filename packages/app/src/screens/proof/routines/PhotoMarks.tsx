import type { PointPx } from '@dunlinmoss/core';
import { createElement, useRef, useState, type CSSProperties, type KeyboardEvent, type PointerEvent } from 'react';

import { usePalette } from '../../../theme/useLight';

interface PhotoMarksProps {
  readonly src: string;
  /** Size of the photo itself, px. */
  readonly width: number;
  readonly height: number;
  /** Places that can be dragged, px of the photo. */
  readonly marks: readonly PointPx[];
  readonly onMove: (index: number, to: PointPx) => void;
  /** What each mark is, for those who don't see it. */
  readonly names: (index: number) => string;
  /** Whether the marks are joined all round, and with what weight. */
  readonly joined: 'round' | 'line';
  readonly tone: 'reference' | 'outline';
  /** Only shown: nothing can be dragged. */
  readonly still?: boolean;
}

/** How much larger the glass shows what is under the finger. */
const GLASS = { size: 132, times: 3 };
/** The arrow keys move a mark by so many pixels of the photo, with Shift by ten times as many. */
const KEY_PX = 2;

/**
 * A photo with places on it that are dragged, or moved by the arrow keys. A glass shows what lies under the finger, since
 * a finger hides what it points at.
 */
export function PhotoMarks({ src, width, height, marks, onMove, names, joined, tone, still = false }: PhotoMarksProps) {
  const palette = usePalette();
  const box = useRef<HTMLDivElement>(null);
  const [held, setHeld] = useState<{ readonly index: number; readonly shown: DOMRect }>();
  const ink = tone === 'reference' ? palette.rust : palette.moss;
  const clip = ([x, y]: PointPx): PointPx => [Math.max(0, Math.min(width, x)), Math.max(0, Math.min(height, y))];
  const at = (event: PointerEvent): PointPx => {
    const { left, top, width: wide } = box.current!.getBoundingClientRect();
    const share = width / wide;
    return clip([(event.clientX - left) * share, (event.clientY - top) * share]);
  };
  const onKey = (event: KeyboardEvent, index: number): void => {
    const by = KEY_PX * (event.shiftKey ? 10 : 1);
    const way = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[event.key];
    if (!way) return;
    event.preventDefault();
    const [x, y] = marks[index]!;
    onMove(index, clip([x + way[0]!, y + way[1]!]));
  };
  const points = marks.map(([x, y]) => `${(100 * x) / width},${(100 * y) / height}`).join(' ');
  const small = tone === 'outline';
  return (
    <div ref={box} style={{ ...BOX, aspectRatio: `${width} / ${height}` }}>
      {createElement('img', { src, alt: 'The photo of the print', style: IMAGE, draggable: false })}
      <svg viewBox="0 0 100 100" preserveAspectRatio="none" style={LINES} aria-hidden>
        {createElement(joined === 'round' ? 'polygon' : 'polyline', {
          points,
          fill: small ? ink : 'none',
          fillOpacity: 0.16,
          stroke: ink,
          strokeWidth: 2.5,
          vectorEffect: 'non-scaling-stroke',
        })}
      </svg>
      {(still ? [] : marks).map(([x, y], index) => (
        <button
          key={index}
          type="button"
          aria-label={names(index)}
          onKeyDown={(event) => onKey(event, index)}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            setHeld({ index, shown: box.current!.getBoundingClientRect() });
          }}
          onPointerMove={(event) => {
            if (held?.index === index) onMove(index, at(event));
          }}
          onPointerUp={() => setHeld(undefined)}
          onPointerCancel={() => setHeld(undefined)}
          style={{
            ...MARK,
            left: `${(100 * x) / width}%`,
            top: `${(100 * y) / height}%`,
            ...(small && { width: 34, height: 34, marginLeft: -17, marginTop: -17 }),
          }}
        >
          <span
            style={{
              ...RING,
              borderColor: ink,
              backgroundColor: held?.index === index ? 'transparent' : 'rgba(252,248,238,0.65)',
              ...(small && { width: 12, height: 12, borderWidth: 2.5 }),
            }}
          />
        </button>
      ))}
      {held !== undefined && (
        <Glass
          src={src}
          share={[marks[held.index]![0] / width, marks[held.index]![1] / height]}
          shown={held.shown}
          ink={ink}
        />
      )}
    </div>
  );
}

function Glass({
  src,
  share: [x, y],
  shown: { width, height },
  ink,
}: {
  readonly src: string;
  readonly share: readonly [number, number];
  readonly shown: DOMRect;
  readonly ink: string;
}) {
  const { size, times } = GLASS;
  return (
    <div
      aria-hidden
      style={{
        position: 'absolute',
        top: 6,
        [x < 0.5 ? 'right' : 'left']: 6,
        width: size,
        height: size,
        borderRadius: '50%',
        border: `3px solid ${ink}`,
        backgroundImage: `url(${src})`,
        backgroundSize: `${width * times}px ${height * times}px`,
        backgroundPosition: `${size / 2 - x * width * times}px ${size / 2 - y * height * times}px`,
        backgroundRepeat: 'no-repeat',
        pointerEvents: 'none',
      }}
    >
      <div
        style={{ position: 'absolute', left: size / 2 - 1, top: size / 2 - 10, width: 2, height: 20, background: ink }}
      />
      <div
        style={{ position: 'absolute', top: size / 2 - 1, left: size / 2 - 10, height: 2, width: 20, background: ink }}
      />
    </div>
  );
}

const BOX: CSSProperties = {
  position: 'relative',
  width: '100%',
  maxWidth: 620,
  touchAction: 'pan-y',
  userSelect: 'none',
};
const IMAGE: CSSProperties = { position: 'absolute', inset: 0, width: '100%', height: '100%', borderRadius: 3 };
const LINES: CSSProperties = { position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' };
const MARK: CSSProperties = {
  position: 'absolute',
  width: 48,
  height: 48,
  marginLeft: -24,
  marginTop: -24,
  padding: 0,
  border: 'none',
  background: 'transparent',
  touchAction: 'none',
  cursor: 'grab',
  display: 'flex',
  alignItems: 'center',
  justifyContent: 'center',
};
const RING: CSSProperties = {
  width: 22,
  height: 22,
  borderRadius: '50%',
  borderWidth: 3,
  borderStyle: 'solid',
  boxSizing: 'border-box',
};
