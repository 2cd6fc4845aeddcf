import { Redirect, useRouter } from 'expo-router';
import { ContentScreen } from '@/later';
import { useSession } from '@/state';

export default function Content() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <ContentScreen onBack={() => (router.canGoBack() ? router.back() : router.replace('/rules'))} />
  );
}
