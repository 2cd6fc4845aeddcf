import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { LogbookScreen } from '@/later';
import { useSession } from '@/state';

export default function Unit() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  const { id } = useLocalSearchParams<{ id: string }>();
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <LogbookScreen
      unitId={id}
      onReport={(report) => router.push(`/report/${report}`)}
      onBack={() => (router.canGoBack() ? router.back() : router.replace('/'))}
    />
  );
}
