import { useEffect, useRef, type ReactNode } from 'react';
import { Modal, Pressable, ScrollView, View } from 'react-native';
import { Button } from './button';
import { Heading } from './words';

interface SheetProps {
  readonly title: string;
  readonly closeTitle: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
  /** Stays at the foot while the rest scrolls. */
  readonly foot?: ReactNode;
  /** Takes the room of a wide screen. */
  readonly wide?: boolean;
}

/** Rises from below; at hand for a thumb. Escape closes it. */
export function Sheet({ title, closeTitle, onClose, children, foot, wide = false }: SheetProps) {
  const box = useRef<View>(null);
  useEffect(() => {
    const opener = document.activeElement;
    (box.current as unknown as HTMLElement | null)?.focus();
    return () => (opener instanceof HTMLElement ? opener.focus() : undefined);
  }, []);
  useEffect(() => {
    // The modal makes the dialog and takes no name for it.
    const inside = box.current as unknown as HTMLElement | null;
    inside?.closest('[aria-modal]')?.setAttribute('aria-label', title);
  }, [title]);
  return (
    <Modal visible transparent animationType="none" onRequestClose={onClose}>
      <View className="flex-1 justify-end">
        <Pressable
          className="absolute inset-0 bg-black/60"
          aria-hidden
          tabIndex={-1}
          onPress={onClose}
        />
        <View
          ref={box}
          tabIndex={-1}
          className={`mx-auto max-h-[94%] w-full rounded-t-3xl border-t-2 border-line bg-surface ${wide ? 'max-w-[640px] lg:max-w-[1180px]' : 'max-w-[640px]'}`}
        >
          <View className="flex-row items-center justify-between gap-2 pl-5 pr-2 pt-2">
            <Heading level={2} className="shrink">
              {title}
            </Heading>
            <Button look="quiet" title={closeTitle} onPress={onClose} />
          </View>
          <ScrollView tabIndex={0} contentContainerClassName="gap-3 px-5 pb-5 pt-1">
            {children}
          </ScrollView>
          {foot ? <View className="border-t border-line p-4">{foot}</View> : null}
        </View>
      </View>
    </Modal>
  );
}
