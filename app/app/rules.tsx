import { Redirect, useRouter } from 'expo-router';
import { RulesScreen } from '@/features/rules';
import { useSession } from '@/state';

export default function Rules() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  if (!person) return <Redirect href="/sign-in" />;
  return <RulesScreen onBack={() => (router.canGoBack() ? router.back() : router.replace('/'))} />;
}
