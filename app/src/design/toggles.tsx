import { View } from 'react-native';
import { Button } from './button';
import { Body } from './words';

interface TogglesProps<T extends string> {
  readonly label: string;
  readonly options: readonly { readonly id: T; readonly title: string }[];
  readonly chosen: readonly T[];
  readonly onChange: (chosen: T[]) => void;
}

/** Any number of these; what is chosen is filled. */
export function Toggles<T extends string>({ label, options, chosen, onChange }: TogglesProps<T>) {
  return (
    <View className="gap-1" role="group" aria-label={label}>
      <Body className="font-thick">{label}</Body>
      <View className="flex-row flex-wrap gap-2">
        {options.map(({ id, title }) => (
          <Button
            key={id}
            title={title}
            selected={chosen.includes(id)}
            onPress={() =>
              onChange(chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id])
            }
          />
        ))}
      </View>
    </View>
  );
}
