import type { ReactNode } from 'react';

interface FixedBoxProps {
  /** px; without it as wide as there is room. */
  readonly width?: number;
  readonly height: number;
  readonly children: ReactNode;
}

/** A box whose size does not go by what is in it, so that a number that changes every frame moves nothing else. */
export const FixedBox = ({ width, height, children }: FixedBoxProps) => (
  <div style={{ contain: 'strict', height, width: width ?? '100%' }}>{children}</div>
);
