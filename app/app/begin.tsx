import { useMemo } from 'react';
import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { PHASES } from '@nazar/core/catalogue';
import { BeginScreen } from '@/later';
import { useSession } from '@/state';

export default function Begin() {
  const router = useRouter();
  const person = useSession((state) => state.person);
  const { rig, units, phase } = useLocalSearchParams<{
    rig?: string;
    units?: string;
    phase: string;
  }>();
  const unitIds = useMemo(() => units?.split(','), [units]);
  if (!person) return <Redirect href="/sign-in" />;
  return (
    <BeginScreen
      rigId={rig}
      unitIds={unitIds}
      phase={PHASES.find((each) => each === phase) ?? 'pre-trip'}
      onBegun={(id) => router.replace(`/walk/${id}`)}
      onBack={() => router.replace('/today')}
    />
  );
}
