import { wearGloves } from './wear-gloves';

function button() {
  const element = document.createElement('button');
  const touched = jest.fn();
  element.addEventListener('click', touched);
  document.body.append(element);
  return { element, touched };
}

const touch = (element: Element, at: number, detail = 1) => {
  const event = new MouseEvent('click', { bubbles: true, cancelable: true, detail });
  Object.defineProperty(event, 'timeStamp', { value: at });
  element.dispatchEvent(event);
};

it('counts a thick finger once, a key each time, and comes off again', () => {
  const { element, touched } = button();
  const off = wearGloves(true);
  expect(document.documentElement.classList.contains('gloves')).toBe(true);
  touch(element, 1000);
  touch(element, 1200);
  expect(touched).toHaveBeenCalledTimes(1);
  touch(element, 1700);
  touch(element, 1750, 0);
  expect(touched).toHaveBeenCalledTimes(3);
  off();
  touch(element, 1760);
  touch(element, 1770);
  expect(touched).toHaveBeenCalledTimes(5);
  expect(document.documentElement.classList.contains('gloves')).toBe(false);
});
