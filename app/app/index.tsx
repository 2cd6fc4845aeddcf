import { Redirect } from 'expo-router';
import { useSession } from '@/state';

export default function Index() {
  const person = useSession((state) => state.person);
  if (!person) return <Redirect href="/sign-in" />;
  return <Redirect href={person.role === 'mechanic' ? '/workshop' : '/today'} />;
}
