import { partAt } from '@nazar/core/catalogue';
import { callLamps, callSeconds, darkSymptomOf, nextCall } from '@nazar/core/walking';
import { droppedUnits } from '@nazar/core/inspection';
import type { CheckInstance } from '@nazar/core/rig';
import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Figure, Heading, Sheet, Soft } from '@/design';
import { RigDrawing } from '@/drawing';
import { useWords } from '@/i18n';
import { type Walk, useWalkSession } from '@/state/walk';
import { useTick } from './use-tick';

interface LampSheetProps {
  readonly walk: Walk;
  readonly lampsOn: boolean;
  readonly onLampsOn: () => void;
  readonly onLit: (instance: CheckInstance) => void;
  readonly onDark: (instance: CheckInstance, symptomId: string) => void;
  /** The lamp that is called now, for the helper's phone. */
  readonly onAsk: (keys: readonly string[]) => void;
  readonly onClose: () => void;
}

/** Lamps called one after another with a clock, to the driver alone or to a helper; what nobody saw comes round again. */
export function LampSheet(props: LampSheetProps) {
  const { clock } = useWalkSession();
  const { walk, lampsOn, onLampsOn, onLit, onDark, onAsk, onClose } = props;
  const t = useWords();
  const { inspection, stops, rig } = walk;
  const { helper } = inspection.course;
  // Who helps at the beginning sets what is called; an answer takes nothing off the list.
  const [calls] = useState(() => {
    const gone = droppedUnits(rig, inspection.course);
    return callLamps(stops, inspection, helper !== undefined, gone);
  });
  const [after, setAfter] = useState<string>();
  const [since, setSince] = useState<number>();
  const call = since === undefined ? undefined : nextCall(calls, inspection, after);
  const now = useTick(call !== undefined);
  const open = calls.filter(({ key }) => !inspection.answers.has(key));
  const key = call?.key;
  const asks = helper?.phone === true;
  const left = callSeconds(asks) - (since === undefined ? 0 : (now - since) / 1000);
  const asked = useRef<string>(undefined);
  useEffect(() => {
    if (!asks || !key || asked.current === key) return;
    asked.current = key;
    onAsk([key]);
  }, [asks, key, onAsk]);
  const goOn = (from: string | undefined) => {
    setAfter(from);
    setSince(clock.now());
  };
  // Nobody answered in time: the next is called, and this one comes round again.
  const over = call !== undefined && left <= 0 && open.length > 1;
  useEffect(() => {
    if (!over || key === undefined) return undefined;
    const next = setTimeout(() => {
      setAfter(key);
      setSince(clock.now());
    }, 0);
    return () => clearTimeout(next);
  }, [clock, over, key]);
  const together = open.filter(({ instance }) => instance.check.helper === 'needed').length;
  const spot = useMemo(() => call && { x: call.instance.x, y: call.instance.y }, [call]);
  const close = () => {
    if (asks) onAsk([]);
    onClose();
  };
  const needed = rig.instances.filter(
    ({ key: each, check }) =>
      check.helper === 'needed' &&
      check.needs.includes('lamps-on') &&
      !inspection.answers.has(each),
  ).length;
  return (
    <Sheet
      title={t('lampWalk.title')}
      closeTitle={t('close')}
      onClose={close}
      foot={
        call ? (
          <View className="gap-2">
            <Button title={t('lampWalk.later')} onPress={() => goOn(call.key)} />
            <View className="flex-row gap-2">
              <Button
                className="flex-1"
                title={t('lampWalk.dark')}
                onPress={() => {
                  onDark(call.instance, darkSymptomOf(call.instance) ?? '');
                  goOn(call.key);
                }}
              />
              <Button
                look="main"
                className="flex-1"
                testID="lit"
                title={t('lampWalk.lit')}
                onPress={() => {
                  onLit(call.instance);
                  goOn(call.key);
                }}
              />
            </View>
          </View>
        ) : open.length > 0 ? (
          <Button
            look="main"

            title={t('lampWalk.begin')}
            onPress={() => {
              if (!lampsOn) onLampsOn();
              goOn(undefined);
            }}
          />
        ) : (
          <Button look="main" title={t('close')} onPress={close} />
        )
      }
    >
      {call ? (
        <>
          <Soft>
            {t('lampWalk.call', {
              number: calls.length - open.length + 1,
              of: calls.length,
            })}{' '}
            · {call.instance.unit.number}
          </Soft>
          <Heading level={2} className="text-3xl">
            {partAt(call.instance.check, call.instance.place)}
          </Heading>
          <Figure className="text-5xl">
            {t('lampWalk.seconds', { count: Math.max(0, Math.ceil(left)) })}
          </Figure>
          <RigDrawing
            rig={rig}
            label={partAt(call.instance.check, call.instance.place)}
            spot={spot}
          />
        </>
      ) : open.length > 0 ? (
        <Body>{helper ? t('lampWalk.together', { name: helper.name }) : t('lampWalk.alone')}</Body>
      ) : (
        <Body>{t('lampWalk.over')}</Body>
      )}
      {!helper && needed > together ? <Soft>{t('lampWalk.left', { count: needed })}</Soft> : null}
    </Sheet>
  );
}
