import { Redirect, useRouter } from 'expo-router';
import { WorkshopScreen } from '@/later';
import { toParams, useSession } from '@/state';

export default function Workshop() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  if (!person) return <Redirect href="/sign-in" />;
  if (person.role === 'driver') return <Redirect href="/today" />;
  return (
    <WorkshopScreen
      onReport={(id) => router.push(`/report/${id}`)}
      onLogbook={(id) => router.push(`/unit/${id}`)}
      onCompare={(what) => router.push({ pathname: '/compare', params: toParams(what) })}
      onDesk={() => router.push('/desk')}
      onToday={() => router.push('/today')}
      onYou={() => router.push('/you')}
    />
  );
}
