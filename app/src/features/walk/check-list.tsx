import { partAt } from '@nazar/core/catalogue';
import type { CheckInstance } from '@nazar/core/rig';
import { memo, useEffect, useRef } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';
import { Bead, type BeadState } from '@/design';
import { useWords } from '@/i18n';

interface CheckListProps {
  readonly instances: readonly CheckInstance[];
  readonly currentKey: string;
  readonly stateOf: (key: string) => BeadState;
  readonly isWeak: (key: string) => boolean;
  readonly onChoose: (key: string) => void;
  /** Whether it scrolls by itself, or with what it stands in. */
  readonly scrolls: boolean;
}

/** The checks of one stop as beads on a string; the present one stays in view. */
export function CheckList(props: CheckListProps) {
  const { instances, currentKey, stateOf, isWeak, onChoose, scrolls } = props;
  const t = useWords();
  const list = useRef<ScrollView>(null);
  useEffect(() => {
    if (!scrolls) return undefined;
    // After the answer was painted: the list may follow a moment later.
    const soon = setTimeout(() => {
      document.getElementById(`check ${currentKey}`)?.scrollIntoView({ block: 'center' });
    }, 60);
    return () => clearTimeout(soon);
  }, [currentKey, scrolls]);
  const rows = (
    <View role="list" aria-label={t('walk.checkList')}>
      {instances.map((instance) => (
        <CheckRow
          key={instance.key}
          instance={instance}
          state={stateOf(instance.key)}
          isCurrent={instance.key === currentKey}
          isWeak={isWeak(instance.key)}
          onChoose={onChoose}
        />
      ))}
    </View>
  );
  if (!scrolls) return rows;
  return (
    <ScrollView ref={list} className="min-h-[64px] flex-1">
      {rows}
    </ScrollView>
  );
}

const CheckRow = memo(function CheckRow({
  instance,
  state,
  isCurrent,
  isWeak,
  onChoose,
}: {
  readonly instance: CheckInstance;
  readonly state: BeadState;
  readonly isCurrent: boolean;
  readonly isWeak: boolean;
  readonly onChoose: (key: string) => void;
}) {
  const t = useWords();
  const part = partAt(instance.check, instance.place);
  return (
    <View role="listitem">
      <Pressable
        role="button"
        nativeID={`check ${instance.key}`}
        aria-current={isCurrent ? 'step' : undefined}
        aria-label={`${part}. ${instance.check.title}, ${t(`state.${state}`)}${isWeak ? `, ${t('weak.mark')}` : ''}`}
        onPress={() => onChoose(instance.key)}
        className={`min-h-touch flex-row items-center gap-3 px-4 py-1 ${isCurrent ? 'bg-raised' : ''}`}
      >
        <Bead state={state} size={28} />
        <Text
          numberOfLines={2}
          className={`shrink font-text text-base ${isCurrent ? 'text-ink' : 'text-soft'}`}
        >
          {part}
        </Text>
        {isWeak ? (
          <Text className="ml-auto rounded-lg bg-chalk px-2 py-1 font-head text-base text-on-chalk">
            {t('weak.mark')}
          </Text>
        ) : null}
      </Pressable>
    </View>
  );
});
