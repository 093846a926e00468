import { expect, test } from 'vitest';
import { scoped } from './scopedSheet';

test('what a sheet says of the page it says of what stands for it', () => {
  expect(scoped(':root { --a: 1 }\nhtml { color: red }\nbody { margin: 0 }')).toBe(
    ':host { --a: 1 }\n.page { color: red }\n.page { margin: 0 }',
  );
  expect(scoped('html, body { margin: 0 }')).toBe('.page, .page { margin: 0 }');
  expect(scoped('.card-body > a, .body-copy { gap: 0 }\n@media print { body .html { top: 0 } }')).toBe(
    '.card-body > a, .body-copy { gap: 0 }\n@media print { .page .html { top: 0 } }',
  );
});
