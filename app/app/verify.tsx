import { useLocalSearchParams, useRouter } from 'expo-router';
import { VerifyScreen } from '@/later';

/** Open to anybody: an inspector at the roadside has no PIN. */
export default function Verify() {
  const router = useRouter();
  const { report } = useLocalSearchParams<{ report?: string }>();
  return (
    <VerifyScreen
      reportId={report}
      onBack={() => (router.canGoBack() ? router.back() : router.replace('/'))}
    />
  );
}
