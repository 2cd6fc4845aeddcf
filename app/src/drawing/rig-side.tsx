import type { Shape } from '@nazar/core/catalogue';
import type { Rig } from '@nazar/core/rig';
import { memo } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Rect } from 'react-native-svg';
import { usePalette, type Palette } from '@/design';

interface RigSideProps {
  readonly rig: Rig;
  readonly label: string;
}

/** From the ground up, as a share of the unit's height: where a shape of the plan stands when seen from the side. */
const BANDS: Readonly<Partial<Record<Shape['role'], readonly [bottom: number, top: number]>>> = {
  frame: [0.22, 0.3],
  drawbar: [0.25, 0.45],
  tank: [0.16, 0.34],
  deck: [0.3, 0.38],
  cab: [0.18, 0.92],
  body: [0.3, 1],
  hopper: [0.42, 1],
  blade: [0, 0.85],
  boom: [0.8, 0.95],
  platform: [0.3, 0.42],
  outrigger: [0.12, 0.26],
  track: [0, 0.3],
};
const WHEEL = 0.5;

/** The rig from the driver's side, front to the left, to scale: how high and how long it is. */
export const RigSide = memo(function RigSide({ rig, label }: RigSideProps) {
  const palette = usePalette();
  const margin = 0.6;
  const width = rig.length + 2 * margin;
  const height = rig.height + 0.8;
  return (
    <View className="w-full" style={{ aspectRatio: width / height }}>
      <Svg
        width="100%"
        height="100%"
        viewBox={`${-margin} ${-rig.height - 0.4} ${width} ${height}`}
        role="img"
        aria-label={label}
      >
        <Line
          x1={-margin}
          x2={rig.length + margin}
          y1={0}
          y2={0}
          stroke={palette.soft}
          strokeWidth={0.06}
        />
        {rig.units.map(({ unit, module, offset, lift }) => (
          <G key={unit.id} x={offset} y={-lift}>
            <Silhouette shapes={module.shapes} height={module.height} palette={palette} />
          </G>
        ))}
      </Svg>
    </View>
  );
});

function Silhouette({
  shapes,
  height,
  palette,
}: {
  readonly shapes: readonly Shape[];
  readonly height: number;
  readonly palette: Palette;
}) {
  const wheels = [
    ...new Set(
      shapes.filter(({ role }) => role === 'wheel').map(({ x, length }) => x + length / 2),
    ),
  ];
  return (
    <G>
      {shapes.map((shape, index) => {
        const band = BANDS[shape.role];
        if (!band || shape.length < 0.15) return null;
        return (
          <Rect
            key={index}
            x={shape.x}
            y={-band[1] * height}
            width={shape.length}
            height={(band[1] - band[0]) * height}
            rx={0.08}
            fill={palette.raised}
            stroke={palette.ink}
            strokeWidth={0.05}
          />
        );
      })}
      {wheels.map((x) => (
        <Circle key={x} cx={x} cy={-WHEEL} r={WHEEL} fill={palette.soft} />
      ))}
    </G>
  );
}
