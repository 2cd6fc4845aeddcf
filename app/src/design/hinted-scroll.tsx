import { useRef, useState, type ReactNode } from 'react';
import { ScrollView, Text, View } from 'react-native';

interface HintedScrollProps {
  readonly children: ReactNode;
  /** Said at the lower edge while there is more below. */
  readonly hint: string;
  /** Takes all the room there is, edge to edge: a whole screen that scrolls. */
  readonly fills?: boolean;
}

/** Words that scroll where they do not fit, and say so: nothing that warns ends at an edge without a sign. */
export function HintedScroll({ children, hint, fills = false }: HintedScrollProps) {
  const [more, setMore] = useState(false);
  const seen = useRef({ height: 0, content: 0, offset: 0 });
  const look = (change: Partial<typeof seen.current>) => {
    Object.assign(seen.current, change);
    const { height, content, offset } = seen.current;
    // A line that is cut by half is more.
    setMore(content - offset - height > 6);
  };
  return (
    <View className={fills ? 'min-h-0 flex-1' : 'min-h-[64px] shrink'}>
      <ScrollView
        tabIndex={0}
        className={fills ? 'flex-1' : 'min-h-0 shrink'}
        contentContainerClassName={fills ? '' : 'gap-1 px-4 pb-1 pt-3'}
        scrollEventThrottle={50}
        onLayout={({ nativeEvent }) => look({ height: nativeEvent.layout.height })}
        onContentSizeChange={(_, content) => look({ content })}
        onScroll={({ nativeEvent }) => look({ offset: nativeEvent.contentOffset.y })}
      >
        {children}
      </ScrollView>
      {/* Below the words, never over them: what warns is not covered. */}
      {more ? (
        <View aria-hidden testID="more-below" className="items-center bg-chalk py-0.5">
          <Text className="font-head text-base text-on-chalk">{hint}</Text>
        </View>
      ) : null}
    </View>
  );
}
