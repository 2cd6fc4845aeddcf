import { useEffect } from 'react';
import { Pressable, Text, View } from 'react-native';

interface KeypadProps {
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly onEnter: () => void;
  readonly eraseLabel: string;
  readonly minus?: boolean;
  readonly point?: boolean;
}

const MOST = 9;

/** Large keys for a reading; the keyboard's digits work as well. */
export function Keypad({
  value,
  onChange,
  onEnter,
  eraseLabel,
  minus = true,
  point = true,
}: KeypadProps) {
  const press = (key: string) => {
    if (key === '⌫') onChange(value.slice(0, -1));
    else if (key === '±') onChange(value.startsWith('-') ? value.slice(1) : `-${value}`);
    else if (key === '.' && value.includes('.')) return;
    else if (value.length < MOST) onChange(value + key);
  };
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (/^\d$/.test(event.key)) press(event.key);
      else if ((event.key === '.' || event.key === ',') && point) press('.');
      else if (event.key === '-' && minus) press('±');
      else if (event.key === 'Backspace') press('⌫');
      else if (event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) onEnter();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  });
  const rows = [
    ['1', '2', '3'],
    ['4', '5', '6'],
    ['7', '8', '9'],
    [point ? '.' : minus ? '±' : '', '0', '⌫'],
  ];
  return (
    <View className="gap-2">
      {rows.map((row) => (
        <View key={row.join('')} className="flex-row gap-2">
          {row.map((key) =>
            key === '' ? (
              <View key="gap" className="flex-1" />
            ) : (
              <Pressable
                key={key}
                role="button"
                aria-label={key === '⌫' ? eraseLabel : key}
                onPress={() => press(key)}
                className="min-h-[60px] flex-1 items-center justify-center rounded-xl border-2 border-line bg-raised active:bg-line"
              >
                <Text className="font-head text-3xl text-ink">{key}</Text>
              </Pressable>
            ),
          )}
        </View>
      ))}
    </View>
  );
}
