import Svg, { Circle, Path } from 'react-native-svg';

const SIZE = 168;
const MIDDLE = SIZE / 2;
const RADIUS = 68;

/** A point on the rim; 0 is the forehead, and it goes round to the right. */
function rim(share: number, radius = RADIUS): string {
  const angle = 2 * Math.PI * share;
  return `${(MIDDLE + radius * Math.sin(angle)).toFixed(1)} ${(MIDDLE - radius * Math.cos(angle)).toFixed(1)}`;
}

/** A head from above, parted as it is parted; what is done is filled. What it shows stands beside it in words. */
export function SectionHead({ sections, done }: { sections: number; done: readonly number[] }) {
  const next = Array.from({ length: sections }, (_, index) => index).find((index) => !done.includes(index));
  return (
    <Svg width={SIZE} height={SIZE} aria-hidden>
      {/* The nose tells where the front is. */}
      <Path
        d={`M ${MIDDLE - 8} 12 L ${MIDDLE} 2 L ${MIDDLE + 8} 12`}
        fill="none"
        stroke="var(--soft-ink)"
        strokeWidth={3}
      />
      {Array.from({ length: sections }, (_, index) => (
        <Path
          key={index}
          d={`M ${MIDDLE} ${MIDDLE} L ${rim(index / sections)} A ${RADIUS} ${RADIUS} 0 0 1 ${rim((index + 1) / sections)} Z`}
          fill={done.includes(index) ? 'var(--band)' : index === next ? 'var(--zone)' : 'none'}
          stroke="var(--ink)"
          strokeWidth={index === next ? 4 : 2}
        />
      ))}
      <Circle cx={MIDDLE} cy={MIDDLE} r={4} fill="var(--ink)" />
    </Svg>
  );
}
