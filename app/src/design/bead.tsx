import { memo } from 'react';
import Svg, { Circle, G, Path, Rect } from 'react-native-svg';
import { usePalette } from './palette';

export type BeadState =
  'unanswered' | 'sound' | 'note' | 'minor' | 'major' | 'not-looked' | 'again';

interface BeadShapeProps {
  readonly state: BeadState;
  readonly x: number;
  readonly y: number;
  readonly radius: number;
}

/**
 * State as a shape: empty ring not looked at, ring with pupil sound, half-filled note, ring with a
 * notch minor, solid block major. Inside any SVG.
 */
export function BeadShape({ state, x, y, radius }: BeadShapeProps) {
  const palette = usePalette();
  const stroke = radius * 0.3;
  const ring = (
    <Circle
      cx={x}
      cy={y}
      r={radius - stroke / 2}
      fill={palette.raised}
      stroke={palette.ink}
      strokeWidth={stroke}
    />
  );
  switch (state) {
    case 'major':
      return (
        <Rect
          x={x - radius}
          y={y - radius}
          width={radius * 2}
          height={radius * 2}
          fill={palette.vermilion}
        />
      );
    case 'sound':
      return (
        <G>
          {ring}
          <Circle cx={x} cy={y} r={radius * 0.42} fill={palette.cobalt} />
        </G>
      );
    case 'note':
      return (
        <G>
          {ring}
          <Path
            d={`M ${x} ${y - radius + stroke} A ${radius - stroke} ${radius - stroke} 0 0 0 ${x} ${y + radius - stroke} Z`}
            fill={palette.ink}
          />
        </G>
      );
    case 'minor':
      return (
        <G>
          {ring}
          <Path
            d={`M ${x - radius * 0.75} ${y - radius * 1.15} L ${x + radius * 0.75} ${y - radius * 1.15} L ${x} ${y + radius * 0.15} Z`}
            fill={palette.chalk}
            stroke={palette.ink}
            strokeWidth={stroke * 0.5}
          />
        </G>
      );
    case 'not-looked':
      return (
        <G>
          {ring}
          <Path
            d={`M ${x - radius * 0.45} ${y} L ${x + radius * 0.45} ${y}`}
            stroke={palette.ink}
            strokeWidth={stroke}
          />
        </G>
      );
    default:
      return ring;
  }
}

/** A bead on its own, beside words. */
export const Bead = memo(function Bead({
  state,
  size = 24,
}: {
  readonly state: BeadState;
  readonly size?: number;
}) {
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <BeadShape state={state} x={12} y={13} radius={9.5} />
    </Svg>
  );
});
