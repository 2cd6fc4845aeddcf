import Svg, { Circle, Ellipse } from 'react-native-svg';
import { usePalette } from './palette';

/** The mark: an eye made of rings; the ring is the way round a vehicle. */
export function Mark({ size }: { readonly size: number }) {
  const palette = usePalette();
  return (
    <Svg width={size} height={size} viewBox="0 0 64 64" aria-hidden>
      <Ellipse cx={32} cy={32} rx={29} ry={18} fill="none" stroke={palette.ink} strokeWidth={4} />
      <Circle cx={32} cy={32} r={11} fill="none" stroke={palette.cobalt} strokeWidth={4.5} />
      <Circle cx={32} cy={32} r={4.5} fill={palette.chalk} stroke={palette.ink} strokeWidth={1} />
    </Svg>
  );
}
