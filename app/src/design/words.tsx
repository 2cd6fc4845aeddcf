import { memo, type ReactNode } from 'react';
import { Text, type TextProps } from 'react-native';

interface WordsProps {
  readonly children: ReactNode;
  readonly className?: string;
  readonly numberOfLines?: number;
  readonly live?: boolean;
}

/** Heading of a screen or a part of it; `level` is what a screen reader hears. */
export const Heading = memo(function Heading({
  children,
  className = '',
  level = 2,
  numberOfLines,
}: WordsProps & { readonly level?: 1 | 2 | 3 }) {
  const size = { 1: 'text-4xl', 2: 'text-2xl', 3: 'text-xl' }[level];
  return (
    <Text
      role="heading"
      aria-level={level}
      numberOfLines={numberOfLines}
      className={`font-head ${size} text-ink ${className}`}
    >
      {children}
    </Text>
  );
});

export const Body = memo(function Body({
  children,
  className = '',
  live,
  ...rest
}: WordsProps & TextProps) {
  return (
    <Text
      {...rest}
      aria-live={live ? 'polite' : undefined}
      className={`font-text text-base text-ink ${className}`}
    >
      {children}
    </Text>
  );
});

/** Quieter words beside the main ones. */
export const Soft = memo(function Soft({
  children,
  className = '',
  ...rest
}: WordsProps & TextProps) {
  return (
    <Text {...rest} className={`font-text text-sm text-soft ${className}`}>
      {children}
    </Text>
  );
});

/** A number that is read at arm's length. */
export const Figure = memo(function Figure({ children, className = '' }: WordsProps) {
  return (
    <Text
      className={`font-head text-3xl text-ink ${className}`}
      style={{ fontVariant: ['tabular-nums'] }}
    >
      {children}
    </Text>
  );
});
