import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { FaultScreen } from '@/later';
import { toParams, useSession } from '@/state';

export default function Fault() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  const { id, key, symptom, back } = useLocalSearchParams<{
    id: string;
    key: string;
    symptom?: string;
    /** Where it was called from, when that is not the walk. */
    back?: 'road' | 'help';
  }>();
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <FaultScreen
      inspectionId={id}
      checkKey={key}
      symptomId={symptom}
      onCompare={(what) => router.push({ pathname: '/compare', params: toParams(what) })}
      onDone={() =>
        back === 'road'
          ? router.replace(`/walk/${id}/road`)
          : back === 'help'
            ? router.replace(`/help/${id}`)
            : router.replace({ pathname: '/walk/[id]', params: { id, at: key } })
      }
    />
  );
}
