import { Text, View } from 'react-native';

/** The smallest app of the same stack: what the real one is measured against. */
export default function Index() {
  return (
    <View role="main" className="flex-1 p-4">
      <Text role="heading" aria-level={1} className="text-2xl">
        Today
      </Text>
    </View>
  );
}
