import { t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useTokens } from '@/ui';

const WIDTH = 150;
const HEIGHT = 96;
type Tokens = ReturnType<typeof useTokens>;

/** A drawing of one step; what it shows stands beside it in words. */
function Sheet({ children }: { children: (tokens: Tokens) => ReactNode }) {
  const tokens = useTokens();
  return (
    <Svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
      <Rect x={1} y={1} width={WIDTH - 2} height={HEIGHT - 2} rx={14} fill={tokens.sunken} />
      {children(tokens)}
    </Svg>
  );
}

const HAIR = { fill: 'none', strokeWidth: 3, strokeLinecap: 'round' } as const;

/** Millimetres under a strand. */
function Ticks({ tokens, y }: { tokens: Tokens; y: number }) {
  return Array.from({ length: 27 }, (_, index) => (
    <Line
      key={index}
      x1={12 + index * 5}
      x2={12 + index * 5}
      y1={y}
      y2={y + (index % 5 === 0 ? 10 : 5)}
      stroke={tokens['soft-ink']}
      strokeWidth={1.5}
    />
  ));
}

/** A fingertip with its nail, pinching from above; `right` mirrors it. */
function Fingertip({ tokens, x, y, turn = 0 }: { tokens: Tokens; x: number; y: number; turn?: number }) {
  return (
    <G transform={`rotate(${turn} ${x} ${y})`}>
      <Path
        d={`M${x - 9} ${y - 36}v24a9 9 0 0 0 18 0v-24`}
        fill={tokens.raised}
        stroke={tokens.ink}
        strokeWidth={2}
      />
      <Path d={`M${x - 5} ${y - 12}a5 6 0 0 1 10 0`} fill="none" stroke={tokens.ink} strokeWidth={1.5} />
    </G>
  );
}

function Arrow({ tokens, from, to }: { tokens: Tokens; from: [number, number]; to: [number, number] }) {
  const angle = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
  return (
    <>
      <Line
        x1={from[0]}
        y1={from[1]}
        x2={to[0]}
        y2={to[1]}
        stroke={tokens.rule}
        strokeWidth={3.5}
        strokeLinecap="round"
      />
      <Path
        d={`M${to[0]} ${to[1]}l-8 -6m8 6l-8 6`}
        transform={`rotate(${angle} ${to[0]} ${to[1]})`}
        stroke={tokens.rule}
        {...HAIR}
        strokeWidth={3.5}
      />
    </>
  );
}

function StrandAtRest() {
  return (
    <Sheet>
      {(tokens) => (
        <>
          <Circle cx={14} cy={38} r={5} fill={tokens.saffron} stroke={tokens.ink} strokeWidth={1.5} />
          <Path d="M18 38C30 34 40 42 52 38S74 34 84 38" stroke={tokens.ink} {...HAIR} />
          <Line x1={12} x2={142} y1={56} y2={56} stroke={tokens['soft-ink']} strokeWidth={1.5} />
          <Ticks tokens={tokens} y={56} />
        </>
      )}
    </Sheet>
  );
}

function StrandStretched() {
  return (
    <Sheet>
      {(tokens) => (
        <>
          <Path d="M18 46H112" stroke={tokens.ink} {...HAIR} />
          <Fingertip tokens={tokens} x={20} y={50} />
          <Fingertip tokens={tokens} x={110} y={50} />
          <Arrow tokens={tokens} from={[122, 46]} to={[140, 46]} />
          <Line x1={12} x2={142} y1={66} y2={66} stroke={tokens['soft-ink']} strokeWidth={1.5} />
          <Ticks tokens={tokens} y={66} />
        </>
      )}
    </Sheet>
  );
}

function StrandReleased() {
  return (
    <Sheet>
      {(tokens) => (
        <>
          <Path d="M16 30H112" stroke={tokens['soft-ink']} {...HAIR} strokeWidth={2} strokeDasharray="2 6" />
          <Path d="M16 50C28 46 40 54 52 50S78 46 88 50" stroke={tokens.ink} {...HAIR} />
          <Arrow tokens={tokens} from={[112, 40]} to={[94, 46]} />
          <Line x1={12} x2={142} y1={64} y2={64} stroke={tokens['soft-ink']} strokeWidth={1.5} />
          <Ticks tokens={tokens} y={64} />
        </>
      )}
    </Sheet>
  );
}

function BrokenPiece() {
  return (
    <Sheet>
      {(tokens) => (
        <>
          <Path d="M42 58C52 44 64 62 78 48" stroke={tokens.ink} {...HAIR} />
          <Path d="M78 48l7 -7m-6 8l9 -2m-9 0l4 -9" stroke={tokens.ink} strokeWidth={1.5} />
          <Path d="M42 58l-6 6m5 -7l-9 2" stroke={tokens.ink} strokeWidth={1.5} />
        </>
      )}
    </Sheet>
  );
}

function ShedHair() {
  return (
    <Sheet>
      {(tokens) => (
        <>
          <Path d="M22 24C50 10 58 44 84 32S116 60 132 74" stroke={tokens.ink} {...HAIR} />
          <Circle cx={20} cy={25} r={7} fill={tokens.saffron} stroke={tokens.ink} strokeWidth={2} />
        </>
      )}
    </Sheet>
  );
}

function EndsFirst() {
  return (
    <Sheet>
      {(tokens) => (
        <>
          {[0, 8, 16, 24].map((shift) => (
            <Path
              key={shift}
              d={`M${40 + shift} 8C${34 + shift} 36 ${50 + shift} 52 ${40 + shift} 88`}
              stroke={tokens.ink}
              {...HAIR}
              strokeWidth={2.5}
            />
          ))}
          <Rect
            x={80}
            y={60}
            width={44}
            height={9}
            rx={3}
            fill={tokens.saffron}
            stroke={tokens.ink}
            strokeWidth={1.5}
          />
          {[0, 8, 16, 24, 32].map((tooth) => (
            <Line
              key={tooth}
              x1={84 + tooth}
              x2={84 + tooth}
              y1={69}
              y2={84}
              stroke={tokens.ink}
              strokeWidth={2.5}
            />
          ))}
          <Arrow tokens={tokens} from={[104, 50]} to={[104, 20]} />
        </>
      )}
    </Sheet>
  );
}

function MistOn() {
  return (
    <Sheet>
      {(tokens) => (
        <>
          <Path d="M20 34h18v46H20z" fill={tokens.raised} stroke={tokens.ink} strokeWidth={2} />
          <Path d="M24 34v-10h10v-6h10" fill="none" stroke={tokens.ink} strokeWidth={3} />
          {[
            [54, 14],
            [62, 22],
            [56, 28],
            [72, 16],
            [70, 30],
          ].map(([x, y]) => (
            <Circle key={`${x}`} cx={x} cy={y} r={2.5} fill={tokens.band} />
          ))}
          {[96, 106, 116].map((x) => (
            <Path key={x} d={`M${x} 10C${x - 8} 36 ${x + 8} 60 ${x} 88`} stroke={tokens.ink} {...HAIR} />
          ))}
          {[24, 40, 58].map((y) => (
            <Circle
              key={y}
              cx={y === 40 ? 112 : 100}
              cy={y}
              r={5}
              fill={tokens.raised}
              stroke={tokens.link}
              strokeWidth={2}
            />
          ))}
        </>
      )}
    </Sheet>
  );
}

function Clock({ tokens, x, y }: { tokens: Tokens; x: number; y: number }) {
  return (
    <>
      <Circle cx={x} cy={y} r={24} fill={tokens.raised} stroke={tokens.ink} strokeWidth={2.5} />
      <Path d={`M${x} ${y - 15}V${y}L${x + 11} ${y + 6}`} stroke={tokens.ink} {...HAIR} />
      <Path
        d={`M${x} ${y}L${x} ${y - 24}A24 24 0 0 1 ${x + 20.8} ${y + 12}Z`}
        fill={tokens.saffron}
        opacity={0.5}
      />
    </>
  );
}

function Drying() {
  return (
    <Sheet>
      {(tokens) => (
        <>
          <Path
            d="M12 26q16 -8 32 0v46q-16 8 -32 0z"
            fill={tokens.raised}
            stroke={tokens.ink}
            strokeWidth={2}
          />
          <Path
            d="M18 40q10 -5 20 0M18 52q10 -5 20 0"
            fill="none"
            stroke={tokens['soft-ink']}
            strokeWidth={2}
          />
          <Arrow tokens={tokens} from={[54, 48]} to={[74, 48]} />
          <Clock tokens={tokens} x={112} y={48} />
        </>
      )}
    </Sheet>
  );
}

function Caption({ tokens, y, text }: { tokens: Tokens; y: number; text: string }) {
  return (
    <SvgText x={14} y={y} fontSize={12} fontFamily="Atkinson" fill={tokens['soft-ink']}>
      {text}
    </SvgText>
  );
}

function FingerUp() {
  return (
    <Sheet>
      {(tokens) => (
        <>
          <Line x1={60} x2={60} y1={8} y2={90} stroke={tokens.ink} strokeWidth={9} strokeLinecap="round" />
          {[20, 34, 48, 62, 76].map((y) => (
            <Path key={y} d={`M55 ${y}l-6 -5M65 ${y}l6 -5`} stroke={tokens.ink} strokeWidth={2} />
          ))}
          <Fingertip tokens={tokens} x={92} y={62} turn={70} />
          <Arrow tokens={tokens} from={[128, 78]} to={[128, 24]} />
          <Caption tokens={tokens} y={20} text={t`root`} />
          <Caption tokens={tokens} y={88} text={t`end`} />
        </>
      )}
    </Sheet>
  );
}

function StrandInGlass() {
  return (
    <Sheet>
      {(tokens) => (
        <>
          <Path d="M46 12v70q0 6 6 6h46q6 0 6 -6V12" fill="none" stroke={tokens.ink} strokeWidth={2.5} />
          <Path d="M47 28h56v54q0 5 -5 5H52q-5 0 -5 -5z" fill={tokens.band} opacity={0.5} />
          {[28, 56, 80].map((y) => (
            <Path key={y} d={`M62 ${y}q6 -5 12 0t14 0`} stroke={tokens.ink} {...HAIR} />
          ))}
        </>
      )}
    </Sheet>
  );
}

function SoftToFirm() {
  return (
    <Sheet>
      {(tokens) => (
        <>
          <Path d="M28 14C12 30 44 44 28 58S44 78 28 84" stroke={tokens.ink} {...HAIR} />
          <Path d="M74 14C68 30 80 44 74 58S80 78 74 84" stroke={tokens.ink} {...HAIR} />
          <Path d="M120 14V60l-6 6 8 4v14" stroke={tokens.ink} {...HAIR} />
          <Rect x={60} y={6} width={28} height={84} rx={8} fill={tokens.zone} opacity={0.6} />
        </>
      )}
    </Sheet>
  );
}

function Places() {
  return (
    <Sheet>
      {(tokens) => (
        <>
          <Path
            d="M56 82c-22 -8 -26 -36 -12 -52c14 -16 42 -14 52 4c4 8 2 14 6 22l4 8l-7 2c1 8 -3 12 -12 10l-2 8z"
            fill={tokens.raised}
            stroke={tokens.ink}
            strokeWidth={2.5}
          />
          {[
            [92, 32],
            [62, 20],
            [68, 46],
            [44, 66],
          ].map(([x, y]) => (
            <Circle key={x} cx={x} cy={y} r={5} fill={tokens.saffron} stroke={tokens.ink} strokeWidth={1.5} />
          ))}
        </>
      )}
    </Sheet>
  );
}

function SameLight() {
  return (
    <Sheet>
      {(tokens) => (
        <>
          <Rect
            x={12}
            y={16}
            width={30}
            height={44}
            fill={tokens.raised}
            stroke={tokens.ink}
            strokeWidth={2}
          />
          <Path d="M27 16v44M12 38h30" stroke={tokens.ink} strokeWidth={1.5} />
          <Arrow tokens={tokens} from={[50, 40]} to={[72, 46]} />
          <Rect
            x={86}
            y={14}
            width={40}
            height={70}
            rx={7}
            fill={tokens.raised}
            stroke={tokens.ink}
            strokeWidth={2.5}
          />
          <Path d="M99.3 22v54M112.6 22v54M90 40h32M90 58h32" stroke={tokens.line} strokeWidth={1.5} />
          <Path d="M106 26C96 44 116 52 106 74" stroke={tokens.ink} {...HAIR} />
        </>
      )}
    </Sheet>
  );
}

export const DRAWINGS = {
  strandAtRest: StrandAtRest,
  strandStretched: StrandStretched,
  strandReleased: StrandReleased,
  brokenPiece: BrokenPiece,
  shedHair: ShedHair,
  endsFirst: EndsFirst,
  mistOn: MistOn,
  drying: Drying,
  fingerUp: FingerUp,
  strandInGlass: StrandInGlass,
  softToFirm: SoftToFirm,
  places: Places,
  sameLight: SameLight,
} as const;
