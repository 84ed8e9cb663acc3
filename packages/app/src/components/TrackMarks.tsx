import { useRef, useState, type CSSProperties, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

import { usePalette } from '../theme/useLight';

export interface Mark {
  readonly id: string;
  /** What begins there. */
  readonly name: string;
  /** Where it stands, as text. */
  readonly shown: string;
  /** From the beginning of the way, 0 to 1. */
  readonly share: number;
}

interface TrackMarksProps {
  /** What the marks stand on: as wide as they go. */
  readonly children: ReactNode;
  readonly marks: readonly Mark[];
  /** The finger let go, or a key was pressed. */
  readonly onMove: (id: string, share: number) => void;
}

/** What a key moves a mark by, as a share of the way. */
const KEY_SHARE = 0.005;
const WIDE = 48;

/** Marks along a way, to be dragged. While the finger drags, the mark alone moves; what follows from it, on release. */
export function TrackMarks({ children, marks, onMove }: TrackMarksProps) {
  const palette = usePalette();
  const box = useRef<View>(null);
  return (
    <View ref={box} style={styles.box}>
      {children}
      {marks.map((mark, index) => (
        <Handle
          key={mark.id}
          mark={mark}
          // None passes its neighbors.
          least={(marks[index - 1]?.share ?? 0) + KEY_SHARE}
          most={(marks[index + 1]?.share ?? 1) - KEY_SHARE}
          box={() => (box.current as unknown as HTMLElement).getBoundingClientRect()}
          color={palette.moss}
          paper={palette.card}
          onMove={(share) => onMove(mark.id, share)}
        />
      ))}
    </View>
  );
}

interface HandleProps {
  readonly mark: Mark;
  readonly least: number;
  readonly most: number;
  readonly box: () => DOMRect;
  readonly color: string;
  readonly paper: string;
  readonly onMove: (share: number) => void;
}

function Handle({ mark, least, most, box, color, paper, onMove }: HandleProps) {
  const [dragged, setDragged] = useState<number | null>(null);
  const between = (share: number): number => Math.max(least, Math.min(most, share));
  const begin = (event: PointerEvent<HTMLElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    setDragged(mark.share);
  };
  const follow = (event: PointerEvent<HTMLElement>): void => {
    if (dragged === null) return;
    const { left, width } = box();
    setDragged(between((event.clientX - left) / width));
  };
  const settle = (): void => {
    setDragged(null);
    if (dragged !== null && dragged !== mark.share) onMove(dragged);
  };
  const byKey = (event: KeyboardEvent<HTMLElement>): void => {
    const by = { ArrowLeft: -KEY_SHARE, ArrowRight: KEY_SHARE }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onMove(between(mark.share + by));
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`Where ${mark.name} begins`}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(100 * mark.share)}
      aria-valuetext={mark.shown}
      onPointerDown={begin}
      onPointerMove={follow}
      onLostPointerCapture={settle}
      onKeyDown={byKey}
      style={{ ...HANDLE, left: `${100 * (dragged ?? mark.share)}%` }}
    >
      <div aria-hidden style={{ ...KNOB, background: paper, border: `2px solid ${color}` }} />
    </div>
  );
}

const HANDLE: CSSProperties = {
  position: 'absolute',
  top: 0,
  bottom: 0,
  width: WIDE,
  marginLeft: -WIDE / 2,
  touchAction: 'none',
  cursor: 'ew-resize',
  display: 'flex',
  justifyContent: 'center',
  alignItems: 'flex-end',
};
const KNOB: CSSProperties = { width: 20, height: 28, borderRadius: 3, marginBottom: 22 };

const styles = StyleSheet.create({ box: { position: 'relative', alignSelf: 'stretch' } });
