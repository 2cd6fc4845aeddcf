import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { WalkScreen } from '@/later';
import { useSession } from '@/state';

export default function Walk() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  const { id, at } = useLocalSearchParams<{ id: string; at?: string }>();
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <WalkScreen
      inspectionId={id}
      at={at}
      onFault={(key, symptom) =>
        router.replace({
          pathname: '/walk/[id]/fault',
          params: { id, key, ...(symptom && { symptom }) },
        })
      }
      onVerdict={() => router.replace(`/walk/${id}/verdict`)}
      onReport={() => router.replace(`/report/${id}`)}
      onLeave={() => router.replace('/today')}
    />
  );
}
