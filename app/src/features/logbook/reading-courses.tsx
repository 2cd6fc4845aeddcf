import type { ReadingCourse } from '@nazar/core/wire';
import { formatSi, fromSi, UNITS } from '@nazar/core/quantity';
import { useState } from 'react';
import { View } from 'react-native';
import { LineChart } from 'react-native-chart-kit';
import { Body, Button, Card, Heading, Sheet, Soft, usePalette } from '@/design';
import { formatWhen, useWords } from '@/i18n';

const MOST_POINTS = 24;
const HEIGHT = 200;

interface ReadingCoursesProps {
  readonly courses: readonly ReadingCourse[];
  readonly titleOf: (part: string) => string;
}

/** How readings went over the months: one at a time, drawn and in words. */
export function ReadingCourses({ courses, titleOf: titleOfPart }: ReadingCoursesProps) {
  const t = useWords();
  const drawn = courses.filter(({ points }) => points.length >= 3);
  const [chosen, setChosen] = useState<string>();
  const [choosing, setChoosing] = useState(false);
  const titleOf = ({ key }: ReadingCourse) => titleOfPart(key.slice(key.indexOf('/') + 1));
  const course = drawn.find(({ key }) => key === chosen) ?? drawn.at(0);
  if (!course)
    return (
      <Card>
        <Heading level={2}>{t('course.title')}</Heading>
        <Body>{t('course.none')}</Body>
      </Card>
    );
  return (
    <Card>
      <Heading level={2}>{t('course.title')}</Heading>
      <Button
        start
        title={titleOf(course)}
        label={`${t('course.choose')}: ${titleOf(course)}`}
        onPress={() => setChoosing(true)}
      />
      <CourseChart course={course} />
      {choosing ? (
        <Sheet
          title={t('course.choose')}
          closeTitle={t('close')}
          onClose={() => setChoosing(false)}
        >
          {drawn.map((each) => (
            <Button
              key={each.key}
              start
              title={titleOf(each)}
              note={lastOf(each)}
              selected={each === course}
              onPress={() => {
                setChosen(each.key);
                setChoosing(false);
              }}
            />
          ))}
        </Sheet>
      ) : null}
    </Card>
  );
}

function lastOf({ points, unit }: ReadingCourse): string {
  const last = points[points.length - 1];
  return `${formatSi(last.value, unit)} · ${formatWhen(last.at)}`;
}

/** The points, every second or third left out where there are too many for the width. */
function CourseChart({ course }: { readonly course: ReadingCourse }) {
  const t = useWords();
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const every = Math.ceil(course.points.length / MOST_POINTS);
  const points = course.points.filter(
    (_, index) => (course.points.length - 1 - index) % every === 0,
  );
  const first = points[0];
  const last = points[points.length - 1];
  const words = t('course.words', {
    count: course.points.length,
    first: formatSi(first.value, course.unit),
    firstWhen: formatWhen(first.at),
    last: formatSi(last.value, course.unit),
    lastWhen: formatWhen(last.at),
  });
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      <View role="img" aria-label={words} style={{ height: HEIGHT }}>
        {width > 0 ? (
          <LineChart
            data={{
              labels: [],
              datasets: [{ data: points.map(({ value }) => fromSi(value, course.unit)) }],
            }}
            width={width}
            height={HEIGHT}
            yAxisSuffix={` ${course.unit === '32nds' ? '/32' : course.unit}`}
            withVerticalLines={false}
            withHorizontalLabels
            segments={4}
            chartConfig={{
              backgroundGradientFrom: palette.surface,
              backgroundGradientTo: palette.surface,
              decimalPlaces: UNITS[course.unit].decimals,
              color: () => palette.ink,
              labelColor: () => palette.ink,
              propsForDots: { r: '4', stroke: palette.cobalt, fill: palette.cobalt },
              propsForBackgroundLines: { stroke: palette.line, strokeDasharray: '' },
              propsForLabels: { fontSize: 12 },
              fillShadowGradientFromOpacity: 0,
              fillShadowGradientToOpacity: 0,
            }}
            style={{ paddingRight: 72 }}
          />
        ) : null}
      </View>
      <Soft>{words}</Soft>
    </View>
  );
}
