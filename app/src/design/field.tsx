import { TextInput, View, type TextInputProps } from 'react-native';
import { usePalette } from './palette';
import { Body, Soft } from './words';

interface FieldProps extends Omit<
  TextInputProps,
  'value' | 'onChange' | 'onChangeText' | 'className'
> {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly hint?: string;
  readonly trouble?: string;
}

export function Field({ label, value, onChange, hint, trouble, ...rest }: FieldProps) {
  const palette = usePalette();
  return (
    <View className="gap-1">
      <Body className="font-thick">{label}</Body>
      <TextInput
        {...rest}
        aria-label={label}
        aria-invalid={trouble ? true : undefined}
        value={value}
        onChangeText={onChange}
        placeholderTextColor={palette.soft}
        className={`min-h-touch rounded-xl border-2 bg-raised px-4 py-3 font-text text-lg text-ink ${trouble ? 'border-vermilion' : 'border-line'}`}
      />
      {trouble ? (
        <Body role="alert" className="text-vermilion">
          {trouble}
        </Body>
      ) : hint ? (
        <Soft>{hint}</Soft>
      ) : null}
    </View>
  );
}
