import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { SignScreen } from '@/later';
import { useSession } from '@/state';

export default function Verdict() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  const { id } = useLocalSearchParams<{ id: string }>();
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <SignScreen
      inspectionId={id}
      onSealed={() => router.replace(`/report/${id}`)}
      onBack={() => router.replace(`/walk/${id}`)}
    />
  );
}
