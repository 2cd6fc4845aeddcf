import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { Body, Button, useStable } from '@/design';
import { useWords } from '@/i18n';

interface UndoBarProps {
  readonly words: string;
  /** Nothing has happened before this is called, once: by the clock, by hand, or on leaving the screen. */
  readonly onElapsed: () => void;
  readonly onUndo: () => void;
}

const SECONDS = 8;

/** A few seconds in which a signature can be taken back; whoever is sure need not wait. */
export function UndoBar({ words, onElapsed, onUndo }: UndoBarProps) {
  const t = useWords();
  const [left, setLeft] = useState(SECONDS);
  const settled = useRef(false);
  const elapse = useStable(() => {
    if (settled.current) return;
    settled.current = true;
    onElapsed();
  });
  const undo = () => {
    settled.current = true;
    onUndo();
  };
  // Whoever turns to the next defect has signed this one: leaving is no undo.
  useEffect(() => elapse, [elapse]);
  useEffect(() => {
    const clock = setInterval(() => setLeft((before) => before - 1), 1000);
    return () => clearInterval(clock);
  }, []);
  useEffect(() => {
    if (left <= 0) elapse();
  }, [left, elapse]);
  return (
    <View className="gap-2 rounded-2xl border-4 border-chalk p-3">
      <Body live className="font-thick">
        {words} {t('workshop.inSeconds', { count: Math.max(0, left) })}
      </Body>
      <View className="flex-row gap-2">
        <Button className="flex-1" title={t('workshop.takeBack')} onPress={undo} />
        <Button look="main" className="flex-1" title={t('workshop.now')} onPress={() => elapse()} />
      </View>
    </View>
  );
}
