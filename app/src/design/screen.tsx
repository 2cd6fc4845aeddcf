import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { Heading, Soft } from './words';

/** `column` is a phone's; `columns` stands in two on a wide screen; `wide` takes it all. */
type Width = 'column' | 'columns' | 'wide';

const WIDTH: Readonly<Record<Width, string>> = {
  column: 'max-w-[680px]',
  columns: 'max-w-[680px] lg:max-w-[1180px]',
  wide: 'max-w-[1440px]',
};

interface ScreenProps {
  readonly children: ReactNode;
  readonly title?: string;
  /** A quieter line under the title. */
  readonly below?: string;
  /** Buttons beside the title. */
  readonly actions?: ReactNode;
  /** Fixed at the thumb's side. */
  readonly foot?: ReactNode;
  readonly width?: Width;
  readonly scrolls?: boolean;
}

/** Title above, work in the middle, what is done with the thumb below. */
export function Screen(props: ScreenProps) {
  const { children, title, below, actions, foot, width = 'column', scrolls = true } = props;
  return (
    <View role="main" className="h-full flex-1 bg-ground">
      {title ? (
        <View
          className={`mx-auto w-full flex-row items-center justify-between pl-4 pr-2 pt-1 ${WIDTH[width]}`}
        >
          <View className="min-w-0 shrink pt-2">
            <Heading level={1} className="text-3xl">
              {title}
            </Heading>
            {below ? <Soft>{below}</Soft> : null}
          </View>
          <View className="flex-row">{actions}</View>
        </View>
      ) : null}
      {scrolls ? (
        <ScrollView
          tabIndex={0}
          className="flex-1"
          contentContainerClassName={`mx-auto w-full gap-4 p-4 ${WIDTH[width]}`}
        >
          {children}
        </ScrollView>
      ) : (
        <View className={`mx-auto min-h-0 w-full flex-1 ${WIDTH[width]}`}>{children}</View>
      )}
      {foot ? (
        <View className="border-t border-line bg-surface">
          <View className={`mx-auto w-full p-3 ${WIDTH[width]}`}>{foot}</View>
        </View>
      ) : null}
    </View>
  );
}

/** One below the other on a phone, side by side on a wide screen. */
export function Columns({ left, right }: { readonly left: ReactNode; readonly right: ReactNode }) {
  return (
    <View className="gap-4 lg:flex-row">
      <View className="min-w-0 gap-4 lg:flex-1">{left}</View>
      <View className="min-w-0 gap-4 lg:flex-1">{right}</View>
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
