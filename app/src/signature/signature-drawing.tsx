import type { Signature } from '@nazar/core/inspection';
import Svg, { Polyline } from 'react-native-svg';
import { usePalette } from '@/design';

/** A signature as it was drawn. */
export function SignatureDrawing({
  signature,
  label,
}: {
  readonly signature: Signature;
  readonly label: string;
}) {
  const palette = usePalette();
  return (
    <Svg width="100%" height={90} viewBox="0 0 1000 400" role="img" aria-label={label}>
      {signature.strokes.map((stroke, index) => (
        <Polyline
          key={index}
          points={stroke.join(' ')}
          fill="none"
          stroke={palette.ink}
          strokeWidth={7}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
    </Svg>
  );
}
