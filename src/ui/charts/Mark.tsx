import { Circle, G, Line, Path } from 'react-native-svg';
import type { TokenName } from '../theme';

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

const STROKE = 2.5;
export const HALF_HEIGHT = 9;
const WAVE_STEP = 8;

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
  const length = 18 + 5 * strength;
  const waves = Math.max(2, Math.round(1.2 + strength));
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
