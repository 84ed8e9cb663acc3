import type { CSSProperties, ReactNode } from 'react';

interface FixedBoxProps {
  /** px; without it as wide as there is room. */
  readonly width?: number;
  readonly height: number;
  readonly children: ReactNode;
}

/**
 * A box whose size does not go by what is in it, so that a number that changes every frame moves nothing else. Two boxes: a
 * browser lays a box out by itself only where no row or column of others measures it.
 */
export const FixedBox = ({ width, height, children }: FixedBoxProps) => (
  <div style={{ height, width: width ?? '100%' }}>
    <div style={FILLED}>{children}</div>
  </div>
);

const FILLED: CSSProperties = { contain: 'strict', height: '100%' };
