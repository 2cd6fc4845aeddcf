import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { HelpScreen } from '@/later';
import { useSession } from '@/state';

export default function Help() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  const { id } = useLocalSearchParams<{ id: string }>();
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <HelpScreen
      inspectionId={id}
      onFault={(key) =>
        router.replace({ pathname: '/walk/[id]/fault', params: { id, key, back: 'help' } })
      }
      onLeave={() => router.replace('/today')}
    />
  );
}
