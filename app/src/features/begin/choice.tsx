import { View } from 'react-native';
import { Body, Button } from '@/design';

/** One of two or three, all in sight. */
export function Choice({
  label,
  options,
}: {
  readonly label: string;
  readonly options: readonly (readonly [title: string, selected: boolean, choose: () => void])[];
}) {
  return (
    <View className="gap-1" role="group" aria-label={label}>
      <Body className="font-thick">{label}</Body>
      <View className="flex-row gap-2">
        {options.map(([title, selected, choose]) => (
          <Button
            key={title}
            className="flex-1"
            title={title}
            selected={selected}
            onPress={choose}
          />
        ))}
      </View>
    </View>
  );
}
