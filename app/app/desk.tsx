import { Redirect, useRouter } from 'expo-router';
import { DeskScreen } from '@/later';
import { useSession } from '@/state';

export default function Desk() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  if (!person) return <Redirect href="/sign-in" />;
  if (person.role === 'driver') return <Redirect href="/today" />;
  return (
    <DeskScreen
      onWalk={(id) => router.push(`/walk/${id}/leave`)}
      onUnit={(id) => router.push(`/unit/${id}`)}
      onRules={() => router.push('/rules')}
      onWorkshop={() => router.push('/workshop')}
      onToday={() => router.push('/today')}
    />
  );
}
