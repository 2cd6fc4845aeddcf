import type { Module, Shape } from '@nazar/core/catalogue';
import type { Stop } from '@nazar/core/planning';
import type { Rig } from '@nazar/core/rig';
import { memo } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Polyline, Rect } from 'react-native-svg';
import { wayRound } from './way-round';
import { BeadShape, usePalette, type BeadState, type Palette } from '@/design';

export interface StopBead {
  readonly key: string;
  readonly x: number;
  readonly y: number;
  readonly state: BeadState;
  /** On the way round, not in the cab or at the engine. */
  readonly outside: boolean;
}

export interface FaultMark {
  readonly id: string;
  /** Metres in the rig's frame. */
  readonly x: number;
  readonly y: number;
  readonly state: BeadState;
}

interface RigDrawingProps {
  readonly rig: Rig;
  readonly label: string;
  readonly stops?: readonly StopBead[];
  /** The line that the feet make where it is known; else it goes from bead to bead. */
  readonly way?: readonly { readonly x: number; readonly y: number }[];
  readonly currentStop?: string;
  /** Where to look now. */
  readonly spot?: { readonly x: number; readonly y: number };
  readonly marks?: readonly FaultMark[];
  /** Places that come loose more often than others. */
  readonly weak?: readonly { readonly key: string; readonly x: number; readonly y: number }[];
  readonly className?: string;
  readonly onTouch?: (x: number, y: number) => void;
}

/** Metres round the outline: feet need room, a drawing without a way does not. */
const MARGIN = { way: 1.5, alone: 0.9 };

const NO_STOPS: readonly StopBead[] = [];
const NO_WEAK: NonNullable<RigDrawingProps['weak']> = [];

/** The rig from above, front to the left, to scale, with the way round it. */
export const RigDrawing = memo(function RigDrawing(props: RigDrawingProps) {
  const {
    rig,
    label,
    stops = NO_STOPS,
    way,
    currentStop,
    spot,
    marks = [],
    weak = NO_WEAK,
    className = '',
    onTouch,
  } = props;
  const palette = usePalette();
  const around = stops.length > 0 ? MARGIN.way : MARGIN.alone;
  // A plow alone is wider than long: the paper stays wide, so that the arrows below it stay in sight.
  const width = Math.max(rig.length + 2 * around, rig.width * 2.4);
  const margin = (width - rig.length) / 2;
  const height = rig.width + 2 * (stops.length > 0 ? around : 0.6);
  const bead = Math.max(0.3, width / 55);
  const touch = onTouch && {
    onClick: (event: MouseEvent) => {
      const box = (event.currentTarget as Element).getBoundingClientRect();
      onTouch(
        ((event.clientX - box.left) / box.width) * width - margin,
        ((event.clientY - box.top) / box.height) * height - height / 2,
      );
    },
  };
  return (
    <View className={`w-full ${className}`} style={{ aspectRatio: width / height }}>
      <Svg
        width="100%"
        height="100%"
        viewBox={`${-margin} ${-height / 2} ${width} ${height}`}
        role="img"
        aria-label={label}
        {...touch}
      >
        <Standing rig={rig} stops={stops} way={way} currentStop={currentStop} bead={bead} />
        {weak.map(({ key, x, y }) => (
          <Circle
            key={key}
            cx={x}
            cy={y}
            r={bead * 1.3}
            fill="none"
            stroke={palette.chalk}
            strokeWidth={bead * 0.5}
            strokeDasharray={`${bead * 0.7} ${bead * 0.4}`}
          />
        ))}
        {marks.map((mark) => (
          <BeadShape key={mark.id} state={mark.state} x={mark.x} y={mark.y} radius={bead * 1.1} />
        ))}
        {spot ? <Spot x={spot.x} y={spot.y} size={bead * 1.6} palette={palette} /> : null}
      </Svg>
    </View>
  );
});

/** What stays as it is while the eyes move from check to check. */
const Standing = memo(function Standing({
  rig,
  stops,
  way,
  currentStop,
  bead,
}: {
  readonly rig: Rig;
  readonly stops: readonly StopBead[];
  readonly way: RigDrawingProps['way'];
  readonly currentStop: string | undefined;
  readonly bead: number;
}) {
  const palette = usePalette();
  return (
    <G>
      {rig.units.map(({ unit, module, offset, aside }) => (
        <G key={unit.id} y={aside}>
          <UnitDrawing module={module} offset={offset} palette={palette} />
        </G>
      ))}
      {stops.length > 1 ? <Way rig={rig} stops={stops} way={way} palette={palette} /> : null}
      {stops.map((stop) => (
        <G key={stop.key}>
          {stop.key === currentStop ? (
            <Circle
              cx={stop.x}
              cy={stop.y}
              r={bead * 1.75}
              fill={palette.chalk}
              stroke={palette.ink}
              strokeWidth={bead * 0.2}
            />
          ) : null}
          <BeadShape state={stop.state} x={stop.x} y={stop.y} radius={bead} />
        </G>
      ))}
    </G>
  );
});

function Spot({ x, y, size, palette }: { x: number; y: number; size: number; palette: Palette }) {
  return (
    <G>
      <Circle cx={x} cy={y} r={size} fill="none" stroke={palette.ground} strokeWidth={size * 0.6} />
      <Circle
        cx={x}
        cy={y}
        r={size}
        fill="none"
        stroke={palette.cobalt}
        strokeWidth={size * 0.32}
      />
      <Line
        x1={x - size * 1.5}
        x2={x + size * 1.5}
        y1={y}
        y2={y}
        stroke={palette.cobalt}
        strokeWidth={size * 0.12}
      />
      <Line
        x1={x}
        x2={x}
        y1={y - size * 1.5}
        y2={y + size * 1.5}
        stroke={palette.cobalt}
        strokeWidth={size * 0.12}
      />
    </G>
  );
}

/** The path that feet take from bead to bead. */
function Way({
  rig,
  stops,
  way,
  palette,
}: {
  readonly rig: Rig;
  readonly stops: readonly StopBead[];
  readonly way: RigDrawingProps['way'];
  readonly palette: Palette;
}) {
  const line =
    way ??
    wayRound(
      rig,
      stops.filter(({ outside }) => outside),
    );
  return (
    <Polyline
      points={line.map(({ x, y }) => `${x},${y}`).join(' ')}
      fill="none"
      stroke={palette.soft}
      strokeWidth={0.07}
      strokeDasharray="0.3 0.22"
      strokeLinejoin="round"
    />
  );
}

const UnitDrawing = memo(function UnitDrawing({
  module,
  offset,
  palette,
}: {
  readonly module: Module;
  readonly offset: number;
  readonly palette: Palette;
}) {
  return (
    <G>
      {module.shapes.map((shape, index) => (
        <ShapeDrawing key={index} shape={shape} offset={offset} palette={palette} />
      ))}
      {module.powered ? (
        <Path
          d={`M ${offset - 0.55} 0 l -0.5 -0.28 l 0 0.56 Z`}
          transform={`rotate(180 ${offset - 0.8} 0)`}
          fill={palette.soft}
        />
      ) : null}
    </G>
  );
});

function ShapeDrawing({
  shape,
  offset,
  palette,
}: {
  shape: Shape;
  offset: number;
  palette: Palette;
}) {
  const x = offset + shape.x;
  if (shape.kind === 'line')
    return (
      <Line
        x1={x}
        y1={shape.y}
        x2={x + shape.length}
        y2={shape.y + shape.width}
        stroke={palette.line}
        strokeWidth={0.05}
      />
    );
  return (
    <Rect
      x={x}
      y={shape.y}
      width={shape.length}
      height={shape.width}
      rx={shape.round ?? 0}
      fill={fillOf(shape.role, palette)}
      stroke={palette.soft}
      strokeWidth={0.05}
    />
  );
}

function fillOf(role: Shape['role'], palette: Palette): string {
  switch (role) {
    case 'wheel':
      return palette.soft;
    case 'glass':
      return palette.ground;
    case 'frame':
    case 'drawbar':
    case 'tank':
    case 'outrigger':
    case 'track':
      return palette.line;
    case 'lamp':
      return palette.chalk;
    default:
      return palette.raised;
  }
}

/** Where the feet stand at each stop. */
export function toBeads(
  stops: readonly Stop[],
  stateOf: (stop: Stop, index: number) => BeadState,
): StopBead[] {
  return stops.map((stop, index) => ({
    key: stop.key,
    x: stop.zone.x,
    y: stop.zone.y,
    state: stateOf(stop, index),
    outside: stop.zone.round === 'outside',
  }));
}
