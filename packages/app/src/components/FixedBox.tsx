import type { CSSProperties, ReactNode } from 'react';

interface FixedBoxProps {
  /** px; without it as wide as there is room. */
  readonly width?: number;
  readonly height: number;
  /** What is in it may be seen outside of it, as the ring around what has the focus. */
  readonly open?: boolean;
  readonly children: ReactNode;
}

/**
 * A box whose size does not go by what is in it, so that a number that changes every frame moves nothing else. Two boxes: a
 * browser lays a box out by itself only where no row or column of others measures it.
 */
export const FixedBox = ({ width, height, open = false, children }: FixedBoxProps) => (
  <div style={{ height, width: width ?? '100%' }}>
    <div style={open ? OPEN : FILLED}>{children}</div>
  </div>
);

const OPEN: CSSProperties = { contain: 'size layout style', height: '100%' };
const FILLED: CSSProperties = { contain: 'strict', height: '100%' };
