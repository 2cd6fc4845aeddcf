import { View } from 'react-native';
import Svg, { Rect } from 'react-native-svg';
import { Soft, usePalette } from '@/design';
import { useWords } from '@/i18n';
import type { Lane } from './lanes';

interface TimeLineProps {
  readonly lanes: readonly Lane[];
  /** Seconds. */
  readonly end: number;
}

const HEIGHT = 14;

/** Lanes of time: who or what is busy when, from the first step to the last. */
export function TimeLine({ lanes, end }: TimeLineProps) {
  const t = useWords();
  const palette = usePalette();
  const fill = {
    check: palette.cobalt,
    go: palette.line,
    change: palette.chalk,
    wait: palette.vermilion,
  };
  return (
    <View className="gap-1">
      {lanes.map((lane) => (
        <View key={lane.id} className="flex-row items-center gap-2">
          <View className="w-20">
            <Soft>{t(`plan.lane.${lane.id}`)}</Soft>
          </View>
          <View className="h-4 flex-1">
            <Svg
              width="100%"
              height="100%"
              viewBox={`0 0 ${Math.max(end, 1)} ${HEIGHT}`}
              preserveAspectRatio="none"
              role="img"
              aria-label={t('plan.laneLabel', {
                lane: t(`plan.lane.${lane.id}`),
                minutes: Math.round(
                  lane.spans.reduce((sum, { from, to }) => sum + to - from, 0) / 60,
                ),
              })}
            >
              <Rect x={0} y={0} width={end} height={HEIGHT} fill={palette.raised} />
              {lane.spans.map(({ from, to, kind }, index) => (
                <Rect
                  key={index}
                  x={from}
                  y={0}
                  width={Math.max(to - from, end / 400)}
                  height={HEIGHT}
                  fill={fill[kind]}
                />
              ))}
            </Svg>
          </View>
        </View>
      ))}
      <Soft>{t('plan.legend')}</Soft>
    </View>
  );
}
