import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { CompareScreen } from '@/later';
import { fromParams, useSession, type ComparisonParams } from '@/state';

export default function Compare() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  const params = useLocalSearchParams() as ComparisonParams;
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <CompareScreen
      comparison={fromParams(params)}
      onBack={() => (router.canGoBack() ? router.back() : router.replace('/'))}
    />
  );
}
