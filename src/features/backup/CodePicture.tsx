import { create } from 'qrcode';
import Svg, { Path, Rect } from 'react-native-svg';

/** Blank around a code, modules (ISO/IEC 18004). */
const QUIET = 4;
/** Any mask can be read; choosing the best of eight for each code would take most of its time. */
const MASK = 3;
/** Readers look for dark on light, whatever the theme. */
const DARK = '#000';
const LIGHT = '#fff';

/** The dark runs of a code, row by row, in modules. */
function pathOf(bytes: Uint8Array): { readonly size: number; readonly path: string } {
  const { modules } = create([{ data: bytes, mode: 'byte' }], {
    errorCorrectionLevel: 'L',
    maskPattern: MASK,
  });
  const { size, data } = modules;
  const runs: string[] = [];
  for (let row = 0; row < size; row++)
    for (let column = 0; column < size; column++) {
      if (!data[row * size + column]) continue;
      const from = column;
      while (column + 1 < size && data[row * size + column + 1]) column++;
      runs.push(`M${from + QUIET} ${row + QUIET}h${column - from + 1}v1H${from + QUIET}z`);
    }
  return { size: size + 2 * QUIET, path: runs.join('') };
}

/** Bytes as a code that a camera reads. */
export function CodePicture({ bytes, label }: { readonly bytes: Uint8Array; readonly label: string }) {
  const { size, path } = pathOf(bytes);
  return (
    <Svg viewBox={`0 0 ${size} ${size}`} width="100%" height="100%" role="img" aria-label={label}>
      <Rect width={size} height={size} fill={LIGHT} />
      <Path d={path} fill={DARK} />
    </Svg>
  );
}
