import { memo, type ReactNode } from 'react';
import { Pressable, Text, View } from 'react-native';

type Look = 'main' | 'plain' | 'quiet' | 'grave';

const BOX: Readonly<Record<Look, string>> = {
  main: 'bg-cobalt active:opacity-80',
  plain: 'bg-raised border-2 border-line active:opacity-70',
  quiet: 'active:opacity-60',
  grave: 'bg-vermilion active:opacity-80',
};

const WORD: Readonly<Record<Look, string>> = {
  main: 'text-on-cobalt',
  plain: 'text-ink',
  quiet: 'text-cobalt',
  grave: 'text-on-vermilion',
};

interface ButtonProps {
  readonly title: string;
  readonly onPress: () => void;
  readonly look?: Look;
  readonly disabled?: boolean;
  readonly selected?: boolean;
  readonly note?: string;
  /** Words at the start, for a list of answers. */
  readonly start?: boolean;
  readonly before?: ReactNode;
  readonly className?: string;
  readonly label?: string;
  readonly testID?: string;
}

/** A target for a gloved thumb: at least 56 px each way. */
export const Button = memo(function Button(props: ButtonProps) {
  const {
    title,
    onPress,
    look = 'plain',
    disabled,
    selected,
    note,
    before,
    start = note !== undefined,
    className = '',
  } = props;
  // What is chosen is filled, what is not is an outline.
  const shown = selected ? 'main' : look;
  return (
    <Pressable
      role="button"
      aria-label={props.label}
      aria-disabled={disabled}
      aria-pressed={selected}
      disabled={disabled}
      testID={props.testID}
      onPress={onPress}
      className={`min-h-touch min-w-touch flex-row items-center gap-3 ${start ? 'justify-start' : 'justify-center'} rounded-xl px-4 py-2 ${BOX[shown]} ${disabled ? 'opacity-50' : ''} ${className}`}
    >
      {before}
      <View className={start ? 'flex-1' : 'shrink'}>
        <Text className={`font-head text-xl ${WORD[shown]} ${start ? '' : 'text-center'}`}>
          {title}
        </Text>
        {note ? <Text className={`font-text text-sm ${WORD[shown]}`}>{note}</Text> : null}
      </View>
    </Pressable>
  );
});
