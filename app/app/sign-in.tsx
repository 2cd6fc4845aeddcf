import { useRouter } from 'expo-router';
import { SignInScreen } from '@/features/sign-in';

export default function SignIn() {
  const router = useRouter();
  return <SignInScreen onSignedIn={() => router.replace('/')} />;
}
