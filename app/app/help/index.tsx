import { Redirect, useRouter } from 'expo-router';
import { JoinScreen } from '@/later';
import { useSession } from '@/state';

export default function Join() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <JoinScreen
      onJoined={(id) => router.replace(`/help/${id}`)}
      onBack={() => router.replace('/today')}
    />
  );
}
