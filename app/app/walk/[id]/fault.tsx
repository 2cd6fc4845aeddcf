import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { FaultScreen } from '@/features/fault';
import { useSession } from '@/state';

export default function Fault() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  const { id, key } = useLocalSearchParams<{ id: string; key: string }>();
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <FaultScreen
      inspectionId={id}
      checkKey={key}
      onDone={() => router.replace({ pathname: '/walk/[id]', params: { id, at: key } })}
    />
  );
}
