import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { LeaveScreen } from '@/later';
import { useSession } from '@/state';

export default function Leave() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  const { id } = useLocalSearchParams<{ id: string }>();
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <LeaveScreen
      inspectionId={id}
      onReport={() => router.push(`/report/${id}`)}
      onDone={() => router.replace('/')}
      onBack={() => (router.canGoBack() ? router.back() : router.replace('/'))}
    />
  );
}
