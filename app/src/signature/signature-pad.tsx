import type { Stroke } from '@nazar/core/inspection';
import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import SignaturePadLibrary from 'signature_pad';
import { usePalette } from '@/design';

interface SignaturePadProps {
  readonly label: string;
  readonly onChange: (strokes: readonly Stroke[]) => void;
  /** A new number empties the pad. */
  readonly round: number;
}

const WIDTH = 1000;
const HEIGHT = 400;

/** Signed with a finger; kept as strokes in a frame of 1000 by 400, so that it prints sharp. */
export function SignaturePad({ label, onChange, round }: SignaturePadProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const palette = usePalette();
  const tell = useRef(onChange);
  useEffect(() => {
    tell.current = onChange;
  }, [onChange]);
  useEffect(() => {
    const element = canvas.current;
    if (!element) return undefined;
    const ratio = Math.max(window.devicePixelRatio || 1, 1);
    const { width, height } = element.getBoundingClientRect();
    element.width = width * ratio;
    element.height = height * ratio;
    element.getContext('2d')?.scale(ratio, ratio);
    const pad = new SignaturePadLibrary(element, {
      penColor: palette.ink,
      minWidth: 1.2,
      maxWidth: 3,
    });
    pad.addEventListener('endStroke', () => {
      tell.current(
        pad
          .toData()
          .map(({ points }) =>
            points.flatMap(({ x, y }) => [scale(x, width, WIDTH), scale(y, height, HEIGHT)]),
          )
          // A dot is a stroke too.
          .map((stroke) => (stroke.length === 2 ? [...stroke, stroke[0] + 2, stroke[1]] : stroke))
          .map(thin),
      );
    });
    tell.current([]);
    return () => pad.off();
  }, [palette.ink, round]);
  return (
    <View className="h-36 overflow-hidden rounded-xl border-2 border-line bg-raised">
      <canvas
        ref={canvas}
        role="img"
        aria-label={label}
        style={{ width: '100%', height: '100%', touchAction: 'none' }}
      />
    </View>
  );
}

function scale(value: number, from: number, to: number): number {
  return Math.round(Math.min(Math.max(value / from, 0), 1) * to);
}

/** A long stroke keeps every second point, until it is short enough to be stored. */
function thin(stroke: number[]): number[] {
  if (stroke.length <= 1600) return stroke;
  return thin(stroke.filter((_, index) => index % 4 < 2));
}
