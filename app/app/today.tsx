import { Redirect, useRouter } from 'expo-router';
import { TodayScreen } from '@/features/today';
import { useSession } from '@/state';

export default function Today() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <TodayScreen
      onBegin={(rig, phase) => router.push({ pathname: '/begin', params: { rig, phase } })}
      onBuild={() => router.push('/rig')}
      onGoOn={(id) => router.push(`/walk/${id}`)}
      onReport={(id) => router.push(`/report/${id}`)}
      onYou={() => router.push('/you')}
      onWorkshop={() => router.push('/workshop')}
      onDesk={() => router.push('/desk')}
      onLogbook={(id) => router.push(`/unit/${id}`)}
      onRoad={(id) => router.push(`/walk/${id}/road`)}
      onHelp={() => router.push('/help')}
      onLeave={(id) => router.push(`/walk/${id}/leave`)}
    />
  );
}
