import icons from 'virtual:icons';
import { expect, it } from 'vitest';
import { foundIcons, iconFile, type Icon } from './iconSearch';

it('finds icons by what they are called first, then by what is said of them', () => {
  const some: Icon[] = [
    ['tree pine', 'forest green', ''],
    ['leafy green', 'salad lettuce', ''],
    ['vegan', 'leaf food', ''],
    ['leaf', 'plant', ''],
    ['oak leaf', 'autumn', ''],
  ];
  expect(foundIcons(some, 'leaf').map(([name]) => name)).toEqual(['leaf', 'leafy green', 'oak leaf', 'vegan']);
  expect(foundIcons(some, 'green forest').map(([name]) => name)).toEqual(['tree pine']);
  expect(foundIcons(some, 'bicycle')).toEqual([]);
  expect(foundIcons(some, '  ')).toHaveLength(5);
});

it('has every icon of the package as a drawing that comes to be a file', async () => {
  expect(icons.length).toBeGreaterThan(2000);
  for (const [name, , drawing] of icons) {
    expect(name, drawing).toMatch(/^[a-z0-9 ]+$/);
    expect(drawing, name).toMatch(/^(<(path|circle|rect|line|polyline|polygon|ellipse) [^<>]*\/>)+$/);
  }
  const [first] = icons;
  expect(first && (await iconFile(first, '#0b5d63').text())).toContain('stroke="#0b5d63"');
});
