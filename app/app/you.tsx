import { Redirect, useRouter } from 'expo-router';
import { YouScreen } from '@/later';
import { useSession } from '@/state';

export default function You() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <YouScreen
      onSignedOut={() => router.replace('/sign-in')}
      onVerify={() => router.push('/verify')}
      onBack={() => (router.canGoBack() ? router.back() : router.replace('/'))}
    />
  );
}
