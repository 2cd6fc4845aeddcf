import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { BeginScreen } from '@/features/begin';
import { useSession } from '@/state';

export default function Begin() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  const { rig, phase } = useLocalSearchParams<{ rig: string; phase: string }>();
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <BeginScreen
      rigId={rig}
      phase={phase === 'post-trip' ? 'post-trip' : 'pre-trip'}
      onBegun={(id) => router.replace(`/walk/${id}`)}
      onBack={() => router.replace('/today')}
    />
  );
}
