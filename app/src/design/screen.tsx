import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';

interface ScreenProps {
  readonly children: ReactNode;
  /** Fixed above, and fixed at the thumb's side below. */
  readonly head?: ReactNode;
  readonly foot?: ReactNode;
  readonly wide?: boolean;
  readonly scrolls?: boolean;
}

/** One column on a phone; the same column, centred, on a wide screen unless `wide`. */
export function Screen({ children, head, foot, wide, scrolls = true }: ScreenProps) {
  const width = wide ? 'max-w-[1440px]' : 'max-w-[680px]';
  return (
    <View role="main" className="h-full flex-1 bg-ground">
      {head}
      {scrolls ? (
        <ScrollView
          tabIndex={0}
          className="flex-1"
          contentContainerClassName={`mx-auto w-full gap-4 p-4 ${width}`}
        >
          {children}
        </ScrollView>
      ) : (
        <View className={`mx-auto w-full flex-1 ${width}`}>{children}</View>
      )}
      {foot ? (
        <View className="border-t border-line bg-surface">
          <View className={`mx-auto w-full p-3 ${width}`}>{foot}</View>
        </View>
      ) : null}
    </View>
  );
}

/** A raised block; `marked` for what must not be overlooked. */
export function Card({
  children,
  className = '',
  marked = false,
}: {
  readonly children: ReactNode;
  readonly className?: string;
  readonly marked?: boolean;
}) {
  const edge = marked ? 'border-4 border-chalk' : 'border border-line';
  return (
    <View className={`gap-2 rounded-2xl bg-surface p-4 ${edge} ${className}`}>{children}</View>
  );
}
