import { Figure } from '@/design';
import { formatLeft, useTick } from './use-tick';

/** Minutes and seconds until a moment; nothing once it has passed or while nothing runs. */
export function Countdown({ due }: { readonly due: number }) {
  const now = useTick(due < Infinity);
  if (due === Infinity || due <= now) return null;
  return <Figure>{formatLeft(Math.ceil((due - now) / 1000))}</Figure>;
}
