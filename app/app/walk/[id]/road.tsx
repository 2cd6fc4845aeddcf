import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { RoadScreen } from '@/later';
import { useSession } from '@/state';

export default function Road() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  const { id } = useLocalSearchParams<{ id: string }>();
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <RoadScreen
      inspectionId={id}
      onFault={(key) =>
        router.replace({ pathname: '/walk/[id]/fault', params: { id, key, back: 'road' } })
      }
      onBack={() => router.replace('/today')}
    />
  );
}
