import { cleanup, render } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { Shortened } from './Shortened';

afterEach(cleanup);

const pieces = (text: string) => {
  const { container } = render(<Shortened text={text} />);
  return [...container.querySelectorAll('.shortened > span')].map((span) => span.textContent);
};

test('a step stays whatever the length of the name', () => {
  expect(pieces('action shade 1')).toEqual(['action', ' shade 1']);
  expect(pieces('a colour between others with a long name tint 6')[1]).toBe(' tint 6');
});

test('a long name keeps its last letters, a short one stays whole', () => {
  expect(pieces('a name that is much longer than there is room for')).toEqual(['a name that is much longer than there is ', 'room for']);
  expect(pieces('raised')).toEqual([]);
});
