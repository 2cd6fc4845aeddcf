import { useEffect } from 'react';

/** Keyboard of the walk; off while a sheet is open. */
export function useKeys(actions: Readonly<Record<string, () => void>>, on: boolean): void {
  useEffect(() => {
    if (!on) return undefined;
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const { target } = event;
      if (target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement) return;
      // A focused button answers to space itself.
      const onButton = target instanceof HTMLElement && target.getAttribute('role') === 'button';
      if (onButton && (event.key === ' ' || event.key === 'Enter')) return;
      const action = actions[event.key.length === 1 ? event.key.toLowerCase() : event.key];
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [actions, on]);
}
