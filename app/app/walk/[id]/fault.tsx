import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { FaultScreen } from '@/features/fault';
import { toParams, useSession } from '@/state';

export default function Fault() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  const { id, key, symptom } = useLocalSearchParams<{
    id: string;
    key: string;
    symptom?: string;
  }>();
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <FaultScreen
      inspectionId={id}
      checkKey={key}
      symptomId={symptom}
      onCompare={(what) => router.push({ pathname: '/compare', params: toParams(what) })}
      onDone={() => router.replace({ pathname: '/walk/[id]', params: { id, at: key } })}
    />
  );
}
