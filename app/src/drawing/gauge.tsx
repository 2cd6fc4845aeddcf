import { formatSi, fromSi, type UnitName } from '@nazar/core/quantity';
import Svg, { Line, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import { usePalette } from '@/design';

interface GaugeProps {
  readonly unit: UnitName;
  /** SI. */
  readonly least?: number;
  readonly most?: number;
  readonly value?: number;
  readonly last?: number;
  readonly label: string;
}

const WIDTH = 340;
const BAR = 34;

/** A tape with ticks: the sound stretch, the last reading above it and the present one below. */
export function Gauge({ unit, least, most, value, last, label }: GaugeProps) {
  const palette = usePalette();
  const shown = [least, most, value, last].filter((each) => each !== undefined);
  if (shown.length === 0) return null;
  const numbers = shown.map((si) => fromSi(si, unit));
  const spread = Math.max(
    Math.max(...numbers) - Math.min(...numbers),
    Math.abs(numbers[0]) * 0.25,
    1,
  );
  const from = Math.min(...numbers) - spread * 0.35;
  const to = Math.max(...numbers) + spread * 0.35;
  const at = (si: number) =>
    Math.min(Math.max(((fromSi(si, unit) - from) / (to - from)) * WIDTH, 3), WIDTH - 3);
  const left = least === undefined ? 0 : at(least);
  const right = most === undefined ? WIDTH : at(most);
  return (
    <Svg width="100%" height={84} viewBox={`0 0 ${WIDTH} 84`} role="img" aria-label={label}>
      <Rect x={0} y={BAR} width={WIDTH} height={18} fill={palette.line} />
      <Rect x={left} y={BAR} width={Math.max(0, right - left)} height={18} fill={palette.cobalt} />
      {Array.from({ length: 35 }, (_, tick) => (
        <Line
          key={tick}
          x1={tick * 10}
          x2={tick * 10}
          y1={BAR + 18}
          y2={BAR + 18 + (tick % 5 === 0 ? 9 : 5)}
          stroke={palette.soft}
          strokeWidth={1}
        />
      ))}
      {[least, most].map((limit, index) =>
        limit === undefined ? null : (
          <SvgText
            key={index}
            x={at(limit)}
            y={BAR + 42}
            fill={palette.ink}
            fontSize={14}
            fontFamily="BarlowCondensed600"
            textAnchor="middle"
          >
            {formatSi(limit, unit, limitDecimals(limit, unit))}
          </SvgText>
        ),
      )}
      {last === undefined ? null : (
        <Line
          x1={at(last)}
          x2={at(last)}
          y1={BAR - 8}
          y2={BAR + 18}
          stroke={palette.ink}
          strokeWidth={2}
          strokeDasharray="3 3"
        />
      )}
      {value === undefined ? null : (
        <Polygon
          points={`${at(value)},${BAR + 4} ${at(value) - 11},${BAR - 18} ${at(value) + 11},${BAR - 18}`}
          fill={palette.chalk}
          stroke={palette.ink}
          strokeWidth={1.5}
        />
      )}
    </Svg>
  );
}

/** A limit is shown as exactly as it must be to be obeyed: a quarter of an inch is not three tenths. */
export function limitDecimals(si: number, unit: UnitName): number {
  const value = fromSi(si, unit);
  const error = (decimals: number) => Math.abs(value - Number(value.toFixed(decimals)));
  const enough = (decimals: number) => error(decimals) <= 0.001 * Math.abs(value);
  if (error(0) < 0.02 && enough(0)) return 0;
  return [1, 2, 3, 4].find(enough) ?? 4;
}
