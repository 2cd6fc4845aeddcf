import { Redirect, useRouter } from 'expo-router';
import { RulesScreen } from '@/later';
import { useSession } from '@/state';

export default function Rules() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <RulesScreen
      onContent={() => router.push('/content')}
      onBack={() => (router.canGoBack() ? router.back() : router.replace('/'))}
    />
  );
}
