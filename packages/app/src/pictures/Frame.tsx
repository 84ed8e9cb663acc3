import type { CSSProperties, ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg from 'react-native-svg';

interface FrameProps {
  /** Where the drawing begins on the left. */
  readonly left?: number;
  readonly width: number;
  readonly height: number;
  /** What the picture says, for those who don't see it. */
  readonly label: string;
  readonly children: ReactNode;
  /** What stands still on top of what moves: a drawing of its own, so that it is not painted again. */
  readonly still?: ReactNode;
}

/**
 * A drawing of fixed proportions, as wide as there is room, hardly blown up. What moves in it moves nothing outside: the
 * browser need not look further.
 */
export function Frame({ left = 0, width, height, label, children, still }: FrameProps) {
  return (
    <View role="img" aria-label={label} style={[styles.frame, { maxWidth: width * 1.15, aspectRatio: width / height }]}>
      <Drawing left={left} width={width} height={height}>
        {children}
      </Drawing>
      {still !== undefined && (
        <Drawing left={left} width={width} height={height}>
          {still}
        </Drawing>
      )}
    </View>
  );
}

function Drawing({ left, width, height, children }: Pick<FrameProps, 'left' | 'width' | 'height' | 'children'>) {
  return (
    <div style={APART}>
      <Svg width="100%" height="100%" viewBox={`${left} 0 ${width} ${height}`}>
        {children}
      </Svg>
    </div>
  );
}

const APART: CSSProperties = { position: 'absolute', inset: 0, contain: 'strict' };

const styles = StyleSheet.create({
  frame: { width: '100%', alignSelf: 'center' },
});
