import type { HouseRules } from '@nazar/core/wire';
import { VEHICLE_CLASSES, type VehicleClass } from '@nazar/core/catalogue';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Card, Heading, Sheet, Soft } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import { bringPolicy, choosePolicies, takePolicyAway } from '@/state';

interface PolicyCardProps {
  readonly rules: HouseRules;
  readonly mayChange: boolean;
  readonly act: (work: () => Promise<unknown>) => Promise<boolean>;
}

/** Which policy each class of vehicle is graded by, and policies of one's own from a file. */
export function PolicyCard({ rules, mayChange, act }: PolicyCardProps) {
  const t = useWords();
  const input = useRef<HTMLInputElement>(null);
  const [choosing, setChoosing] = useState<VehicleClass | 'usual'>();
  const [unreadable, setUnreadable] = useState(false);
  const all = [...rules.policies, ...rules.own];
  const titleOf = (id: string | undefined) => all.find((policy) => policy.id === id)?.title ?? id;
  const { choice } = rules;

  const read = async (file: File | undefined) => {
    if (!file) return;
    let policy: unknown;
    try {
      policy = JSON.parse(await file.text());
    } catch {
      setUnreadable(true);
      return;
    }
    setUnreadable(false);
    await act(() => bringPolicy(policy));
  };
  const choose = (id: string) => {
    const byClass = { ...choice.byClass };
    if (choosing !== undefined && choosing !== 'usual') byClass[choosing] = id;
    void act(() => choosePolicies({ usual: choosing === 'usual' ? id : choice.usual, byClass }));
    setChoosing(undefined);
  };
  const asUsual = (name: VehicleClass) => {
    const { [name]: _, ...byClass } = choice.byClass;
    void act(() => choosePolicies({ usual: choice.usual, byClass }));
    setChoosing(undefined);
  };

  return (
    <>
      <Card>
        <Heading level={2}>{t('rules.policies')}</Heading>
        <Soft>{t('rules.policiesWhy')}</Soft>
        <Button
          start
          title={t('rules.usual')}
          note={titleOf(choice.usual)}
          disabled={!mayChange}
          onPress={() => setChoosing('usual')}
        />
        {VEHICLE_CLASSES.map((name) => (
          <Button
            key={name}
            start
            title={t(`vehicleClass.${name}`)}
            note={choice.byClass[name] ? titleOf(choice.byClass[name]) : t('rules.asUsual')}
            disabled={!mayChange}
            onPress={() => setChoosing(name)}
          />
        ))}
        {mayChange ? (
          <>
            <input
              ref={input}
              type="file"
              accept="application/json,.json"
              aria-label={t('rules.bring')}
              tabIndex={-1}
              data-testid="policy-input"
              style={{ display: 'none' }}
              onChange={(event) => {
                void read(event.target.files?.[0]);
                event.target.value = '';
              }}
            />
            <Button title={t('rules.bring')} onPress={() => input.current?.click()} />
            <Soft>{t('rules.bringWhy')}</Soft>
            {rules.own.map(({ id, title }) => (
              <View key={id} className="flex-row items-center gap-2">
                <Body className="flex-1">{title}</Body>
                <Button
                  look="quiet"
                  title={t('rules.takeAway')}
                  label={t('rules.takeAwayOf', { title })}
                  onPress={() => void act(() => takePolicyAway(id))}
                />
              </View>
            ))}
            {unreadable ? (
              <Body role="alert" className="font-thick text-vermilion">
                {t('rules.unreadable')}
              </Body>
            ) : null}
          </>
        ) : null}
      </Card>
      <Card>
        <Heading level={2}>{t('rules.changes')}</Heading>
        {rules.changes.length === 0 ? <Body>{t('rules.noChanges')}</Body> : null}
        {rules.changes.map((change) => (
          <View key={change.at}>
            <Body>{t(`rules.what.${change.what}`)}</Body>
            <Soft>
              {formatWhen(change.at)} · {change.by}
            </Soft>
          </View>
        ))}
      </Card>
      {choosing ? (
        <Sheet
          title={choosing === 'usual' ? t('rules.usual') : t(`vehicleClass.${choosing}`)}
          closeTitle={t('close')}
          onClose={() => setChoosing(undefined)}
        >
          {choosing !== 'usual' && choice.byClass[choosing] ? (
            <Button start title={t('rules.asUsual')} onPress={() => asUsual(choosing)} />
          ) : null}
          {all.map(({ id, title, why }) => (
            <Button
              key={id}
              start
              title={title}
              note={why}
              selected={id === (choosing === 'usual' ? choice.usual : choice.byClass[choosing])}
              onPress={() => choose(id)}
            />
          ))}
        </Sheet>
      ) : null}
    </>
  );
}
