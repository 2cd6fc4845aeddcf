import { act, render, screen } from '@testing-library/react';
import { Text } from 'react-native';
import { HintedScroll } from './hinted-scroll';

/** A browser of the tests has no sizes; they are told as the real one would. */
let seen: (() => void)[] = [];
const sizes = { height: 100, content: 100 };

beforeEach(() => {
  seen = [];
  Object.defineProperty(HTMLElement.prototype, 'offsetHeight', {
    configurable: true,
    get: () => sizes.height,
  });
  window.ResizeObserver = class {
    constructor(private readonly tell: ResizeObserverCallback) {}
    observe(target: Element) {
      seen.push(() => this.tell([{ target } as ResizeObserverEntry], this));
    }
    unobserve() {}
    disconnect() {}
  } as typeof ResizeObserver;
});

it('shows its words, and no hint where they fit', () => {
  render(
    <HintedScroll hint="More below">
      <Text>Never under it.</Text>
    </HintedScroll>,
  );
  act(() => seen.forEach((each) => each()));
  expect(screen.getByText('Never under it.')).toBeTruthy();
  expect(screen.queryByTestId('more-below')).toBeNull();
});
