import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { ReportScreen } from '@/later';
import { useSession } from '@/state';

export default function Report() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  const { id } = useLocalSearchParams<{ id: string }>();
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <ReportScreen
      key={id}
      reportId={id}
      onVerify={() => router.push({ pathname: '/verify', params: { report: id } })}
      onToday={() => router.replace('/')}
      onOther={(other) => router.replace(`/report/${other}`)}
      onLeave={(walk) => router.push(`/walk/${walk}/leave`)}
    />
  );
}
