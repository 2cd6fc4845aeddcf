import type { UnitHabit } from '@nazar/core/quantity';
import { View } from 'react-native';
import { Body, Button, Screen, Soft } from '@/design';
import { useWords } from '@/i18n';
import { usePreferences, useReference, useSession, type Theme } from '@/state';
import { SessionsList } from './sessions-list';

interface YouScreenProps {
  readonly onSignedOut: () => void;
  readonly onVerify: () => void;
  readonly onBack: () => void;
}

const THEMES: readonly Theme[] = ['night', 'day', 'system'];
const HABITS: readonly UnitHabit[] = ['customary', 'metric'];

/** Who is signed in, light and units. */
export function YouScreen({ onSignedOut, onVerify, onBack }: YouScreenProps) {
  const t = useWords();
  const { person, signOut } = useSession();
  const reference = useReference((state) => state.reference);
  const { theme, setTheme, habit, setHabit, gloves, setGloves } = usePreferences();
  if (!person) return null;
  return (
    <Screen
      title={person.name}
      actions={<Button look="quiet" title={t('back')} onPress={onBack} />}
    >
      <Body>
        {t(`roles.${person.role}`)} · {reference?.depot.name} · {reference?.organisation}
      </Body>
      <View className="gap-1" role="group" aria-label={t('you.theme')}>
        <Body className="font-thick">{t('you.theme')}</Body>
        <View className="flex-row gap-2">
          {THEMES.map((each) => (
            <Button
              key={each}
              className="flex-1"
              title={t(`you.${each}`)}
              selected={theme === each}
              onPress={() => setTheme(each)}
            />
          ))}
        </View>
      </View>
      <View className="gap-1" role="group" aria-label={t('you.units')}>
        <Body className="font-thick">{t('you.units')}</Body>
        <View className="flex-row gap-2">
          {HABITS.map((each) => (
            <Button
              key={each}
              className="flex-1"
              title={t(`you.${each}`)}
              selected={(habit ?? reference?.habit) === each}
              onPress={() => setHabit(each)}
            />
          ))}
        </View>
      </View>
      <View className="gap-1" role="group" aria-label={t('glove.title')}>
        <Body className="font-thick">{t('glove.title')}</Body>
        <Button
          selected={gloves}
          title={t(gloves ? 'glove.on' : 'glove.off')}
          onPress={() => setGloves(!gloves)}
        />
        <Soft>{t('glove.why')}</Soft>
      </View>
      <SessionsList />
      <Button title={t('you.verify')} onPress={onVerify} />
      <Button title={t('you.signOut')} onPress={() => void signOut().then(onSignedOut)} />
      <Soft>{t('guide')}</Soft>
    </Screen>
  );
}
