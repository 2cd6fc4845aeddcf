import { useEffect, useState } from 'react';
import { View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';

interface SquareCodeProps {
  readonly text: string;
  readonly label: string;
  /** Pixels. */
  readonly size?: number;
}

interface Fields {
  readonly path: string;
  readonly size: number;
}

/** A text as a square that cameras read: dark on light in every theme. */
export function SquareCode({ text, label, size = 168 }: SquareCodeProps) {
  const [fields, setFields] = useState<Fields>();
  useEffect(() => {
    let gone = false;
    // Fetched only where a square is shown.
    void import('qrcode').then(({ create }) => {
      const { modules } = create(text, { errorCorrectionLevel: 'M' });
      const path: string[] = [];
      for (let row = 0; row < modules.size; row += 1)
        for (let column = 0; column < modules.size; column += 1)
          if (modules.get(row, column)) path.push(`M${column} ${row}h1v1h-1z`);
      if (!gone) setFields({ path: path.join(''), size: modules.size });
    });
    return () => {
      gone = true;
    };
  }, [text]);
  const box = (fields?.size ?? 21) + 6;
  return (
    <View style={{ width: size, height: size }}>
      <Svg width="100%" height="100%" viewBox={`-3 -3 ${box} ${box}`} role="img" aria-label={label}>
        <Rect x={-3} y={-3} width={box} height={box} fill="#ffffff" />
        {fields ? <Path d={fields.path} fill="#0c1219" /> : null}
      </Svg>
    </View>
  );
}
