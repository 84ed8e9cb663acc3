import QRCode from 'qrcode';
import { View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';

/** White round the code, in its own squares: the standard asks for four. */
const MARGIN = 4;

interface QrCodeProps {
  /** What a camera reads. */
  readonly text: string;
  readonly label: string;
  readonly size: number;
}

/** A code for the camera of another phone. Always dark on light, by night too: cameras expect that. */
export function QrCode({ text, label, size }: QrCodeProps) {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const side = modules.size + 2 * MARGIN;
  let path = '';
  for (let row = 0; row < modules.size; row += 1) {
    for (let column = 0; column < modules.size; column += 1) {
      if (modules.get(row, column)) path += `M${column + MARGIN} ${row + MARGIN}h1v1h-1z`;
    }
  }
  return (
    <View role="img" aria-label={label} style={{ width: size, height: size }}>
      <Svg width={size} height={size} viewBox={`0 0 ${side} ${side}`}>
        <Rect width={side} height={side} fill="#FFFFFF" />
        <Path d={path} fill="#000000" />
      </Svg>
    </View>
  );
}
