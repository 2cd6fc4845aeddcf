import { Redirect, useRouter } from 'expo-router';
import { RigBuilderScreen } from '@/later';
import { keepRigChoice, useSession } from '@/state';

export default function Rig() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <RigBuilderScreen
      onWalk={(unitIds) =>
        router.push({ pathname: '/begin', params: { units: unitIds.join(','), phase: 'pre-trip' } })
      }
      onKept={(rigId) => {
        void keepRigChoice(person.id, rigId).then(() => router.replace('/today'));
      }}
      onBack={() => router.replace('/today')}
    />
  );
}
