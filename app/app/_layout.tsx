import '../global.css';
import { Slot, usePathname, useRouter } from 'expo-router';
import { useColorScheme } from 'nativewind';
import { useEffect } from 'react';
import { useFonts } from 'expo-font';
import { View } from 'react-native';
import { fonts, wearGloves } from '@/design';
import { SavingLine } from '@/features/saving';
import '@/i18n';
import { bringLaterScreens } from '@/later';
import { keepAppOffline } from '@/workers';
import { startSync, usePreferences, useReference, useSession } from '@/state';

/** By then the first screen stands, milliseconds. */
const QUIET = 3_000;

/** Fonts, light, who is signed in, and the state of saving above every screen. */
export default function Layout() {
  const router = useRouter();
  const path = usePathname();
  const [ready] = useFonts(fonts);
  const { person, load } = useSession();
  const { theme, gloves, load: loadPreferences } = usePreferences();
  const { setColorScheme } = useColorScheme();
  useEffect(() => {
    void load();
    void loadPreferences();
    keepAppOffline();
  }, [load, loadPreferences]);
  useEffect(() => {
    if (theme !== 'system') {
      setColorScheme(theme === 'night' ? 'dark' : 'light');
      return undefined;
    }
    const phone = window.matchMedia('(prefers-color-scheme: dark)');
    const follow = () => setColorScheme(phone.matches ? 'dark' : 'light');
    follow();
    phone.addEventListener('change', follow);
    return () => phone.removeEventListener('change', follow);
  }, [theme, setColorScheme]);
  useEffect(() => wearGloves(gloves), [gloves]);
  useEffect(() => {
    const soon = setTimeout(bringLaterScreens, QUIET);
    return () => clearTimeout(soon);
  }, []);
  const personId = person?.id;
  useEffect(() => {
    if (!personId) return undefined;
    void useReference.getState().load(personId);
    // Sync asks for the news at its start, and again while the app is looked at.
    return startSync();
  }, [personId]);
  if (!ready || person === undefined) return null;
  return (
    <View className="h-full flex-1 bg-ground">
      <View className="min-h-0 flex-1">
        <Slot />
      </View>
      {person ? (
        <SavingLine onSignIn={path === '/sign-in' ? undefined : () => router.push('/sign-in')} />
      ) : null}
    </View>
  );
}
