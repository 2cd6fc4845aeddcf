import { AS_SHIPPED, type DepotContent } from '@nazar/core/depot-content';
import { useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Card, Columns, Heading, Screen, Soft } from '@/design';
import { Opening } from '@/drawing';
import { formatWhen, useWords } from '@/i18n';
import {
  ApiProblem,
  bringCatalogue,
  changeContent,
  loadContentVersion,
  useContent,
  useReference,
  useSession,
  useWholeCatalogue,
} from '@/state';
import { FileCard } from './file-card';
import { LimitSheet } from './limit-sheet';
import { OffSheet } from './off-sheet';
import { OwnSheet } from './own-sheet';
import { RuleList } from './rule-list';

export interface ContentScreenProps {
  readonly onBack: () => void;
}

type Opened = 'off' | 'own' | 'limit' | undefined;

/** What the depot asks beside or instead of the catalogue, version by version. */
export function ContentScreen({ onBack }: ContentScreenProps) {
  const t = useWords();
  const person = useSession((state) => state.person);
  const reference = useReference((state) => state.reference);
  const { value, trouble, reload } = useContent();
  const shipped = useWholeCatalogue(AS_SHIPPED);
  const [opened, setOpened] = useState<Opened>();
  const [refused, setRefused] = useState<string>();
  if (!person) return null;
  const mayChange = person.role === 'supervisor';
  const units = reference?.units ?? [];

  const act = async (work: () => Promise<unknown>): Promise<boolean> => {
    try {
      await work();
      setRefused(undefined);
      reload();
      await useReference.getState().refresh(person.id);
      return true;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      setRefused(error.detail || t('trouble.offline'));
      // Somebody else was quicker: what holds now is shown beside the reason.
      if (error.status === 409) reload();
      return false;
    }
  };
  const basedOn = value?.content.version ?? 0;
  const keep = (content: DepotContent, words: string) =>
    act(() => changeContent(basedOn, content, words));
  const goBackTo = (version: number) =>
    act(async () =>
      changeContent(basedOn, await loadContentVersion(version), t('content.wentBack', { version })),
    );
  const sheet = value && shipped && { units, content: value.content, shipped, onKeep: keep };
  const close = () => setOpened(undefined);
  const alerts = refused?.split('\n').map((line) => (
    <Body key={line} role="alert" className="font-thick text-vermilion">
      {line}
    </Body>
  ));
  return (
    <Screen
      title={t('content.screen')}
      below={reference?.depot.name}
      width="columns"
      actions={<Button look="quiet" title={t('back')} onPress={onBack} />}
    >
      {trouble ? (
        <Body role="alert">{trouble === 'offline' ? t('content.offline') : trouble.sentence}</Body>
      ) : null}
      {opened ? null : alerts}
      {!(value && shipped) && !trouble ? <Opening /> : null}
      {value && shipped ? (
        <Columns
          left={
            <>
              {mayChange ? (
                <View className="gap-2">
                  <Button start title={t('content.add')} onPress={() => setOpened('own')} />
                  <Button start title={t('content.tighten')} onPress={() => setOpened('limit')} />
                  <Button start title={t('content.switchOff')} onPress={() => setOpened('off')} />
                </View>
              ) : null}
              <RuleList
                content={value.content}
                shipped={shipped}
                units={units}
                mayChange={mayChange}
                onChange={(content, words) => void keep(content, words)}
              />
            </>
          }
          right={
            <>
              <Card>
                <Heading level={2}>{t('content.versions')}</Heading>
                <Soft>{t('content.versionsWhy')}</Soft>
                {value.versions.map((each) => (
                  <View key={each.version} className="flex-row items-center justify-between gap-2">
                    <View className="min-w-0 shrink">
                      <Body className="font-thick">
                        {each.version} · {each.words}
                      </Body>
                      <Soft>
                        {formatWhen(each.at)} · {each.by}
                      </Soft>
                    </View>
                    {mayChange && each.version !== basedOn ? (
                      <Button
                        look="quiet"
                        title={t('content.goBack')}
                        label={t('content.goBackTo', { version: each.version })}
                        onPress={() => void goBackTo(each.version)}
                      />
                    ) : null}
                  </View>
                ))}
                {mayChange && basedOn > 0 ? (
                  <Button title={t('content.toShipped')} onPress={() => void goBackTo(0)} />
                ) : null}
              </Card>
              <FileCard
                mayChange={mayChange}
                onFile={(file, name) =>
                  void act(() => bringCatalogue(basedOn, file, t('content.brought', { name })))
                }
              />
              <Soft>{t('guide')}</Soft>
            </>
          }
        />
      ) : null}
      {sheet && opened === 'off' ? <OffSheet {...sheet} refused={alerts} onClose={close} /> : null}
      {sheet && opened === 'limit' ? (
        <LimitSheet {...sheet} refused={alerts} onClose={close} />
      ) : null}
      {sheet && opened === 'own' ? <OwnSheet {...sheet} refused={alerts} onClose={close} /> : null}
    </Screen>
  );
}
