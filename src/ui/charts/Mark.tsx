import { Circle, G, Line, Path } from 'react-native-svg';
import type { TokenName } from '../theme';
import type { Box } from './placeNames';

/**
 * The marks of the one axis, soft to firm. A square-shouldered block pushes toward firm, wave strokes pull toward
 * soft, a ring holds, a short bar is a small treatment; "both" is a block and waves. Hollow is planned, filled is done.
 */
export type MarkKind = 'firm' | 'soft' | 'both' | 'hold' | 'small';

interface MarkProps {
  readonly kind: MarkKind;
  /** Where it acts, in the drawing's pixels. */
  readonly x: number;
  readonly y: number;
  /** 0 to 5; sets its length. */
  readonly strength: number;
  readonly done: boolean;
  /** Where firm lies: to the right, or up. */
  readonly firmIs: 'right' | 'up';
  readonly tokens: Readonly<Record<TokenName, string>>;
}

/**
 * Where a mark stands while days are columns and firm is up.
 * @returns pixels
 */
export function markBox({ kind, x, y, strength }: Pick<MarkProps, 'kind' | 'x' | 'y' | 'strength'>): Box {
  const up = kind === 'firm' || kind === 'both' ? blockLength(strength) : HALF_HEIGHT;
  const down =
    kind === 'soft' || kind === 'both'
      ? (waveCount(strength) - (kind === 'soft' ? 1 : 0)) * WAVE_STEP
      : HALF_HEIGHT;
  const side = HALF_HEIGHT + STROKE;
  return { left: x - side, right: x + side, top: y - up - STROKE, bottom: y + down + STROKE };
}

const STROKE = 2.5;
export const HALF_HEIGHT = 9;
const WAVE_STEP = 8;

const blockLength = (strength: number) => 18 + 5 * strength;
const waveCount = (strength: number) => Math.max(2, Math.round(1.2 + strength));

/** @param length pixels from tail to tip */
export function blockPath(x: number, y: number, length: number): string {
  const shoulder = Math.max(0, length - HALF_HEIGHT);
  return `M${x} ${y - HALF_HEIGHT}h${shoulder}l${Math.min(length, HALF_HEIGHT)} ${HALF_HEIGHT}l${-Math.min(length, HALF_HEIGHT)} ${HALF_HEIGHT}h${-shoulder}z`;
}

export function wavePath(x: number, y: number): string {
  return `M${x} ${y - HALF_HEIGHT}C${x - 6} ${y - 3} ${x + 6} ${y + 3} ${x} ${y + HALF_HEIGHT}`;
}

export function Mark({ kind, x, y, strength, done, firmIs, tokens }: MarkProps) {
  const fill = done ? tokens.saffron : tokens.paper;
  const turned = firmIs === 'up' ? `rotate(-90 ${x} ${y})` : undefined;
  const length = blockLength(strength);
  const waves = waveCount(strength);
  return (
    <G transform={turned}>
      {kind === 'firm' || kind === 'both' ? (
        <Path
          d={blockPath(x, y, length)}
          fill={fill}
          stroke={tokens.ink}
          strokeWidth={STROKE}
          strokeLinejoin="round"
        />
      ) : null}
      {kind === 'soft' || kind === 'both'
        ? Array.from({ length: waves }, (_, index) => (
            <Wave
              key={index}
              x={x - index * WAVE_STEP - (kind === 'both' ? WAVE_STEP : 0)}
              y={y}
              done={done}
              tokens={tokens}
            />
          ))
        : null}
      {kind === 'hold' ? (
        <>
          <Circle cx={x} cy={y} r={11} fill={tokens.paper} stroke={tokens.ink} strokeWidth={STROKE} />
          {done ? (
            <Circle cx={x} cy={y} r={5} fill={tokens.saffron} stroke={tokens.ink} strokeWidth={1.5} />
          ) : null}
        </>
      ) : null}
      {kind === 'small' ? (
        <Line
          x1={x - 11}
          x2={x + 11}
          y1={y}
          y2={y}
          stroke={done ? tokens.rule : tokens.ink}
          strokeWidth={done ? 5 : STROKE}
          strokeLinecap="round"
        />
      ) : null}
    </G>
  );
}

/** A planned wave is a tube, a done one is solid. */
function Wave({ x, y, done, tokens }: Pick<MarkProps, 'x' | 'y' | 'done' | 'tokens'>) {
  const path = wavePath(x, y);
  return (
    <>
      <Path d={path} fill="none" stroke={tokens.ink} strokeWidth={done ? 3.5 : 5} strokeLinecap="round" />
      {done ? null : (
        <Path d={path} fill="none" stroke={tokens.paper} strokeWidth={2} strokeLinecap="round" />
      )}
    </>
  );
}
