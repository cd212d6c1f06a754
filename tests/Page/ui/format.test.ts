import { expect, test } from 'vitest';
import { day, dayIn, factor, hours, money, number, percent, promised, since } from '@/ui/format';

// how the page says figures

test('a probability is never shown as surer than it is', () => {
  expect([0, 0.0004, 0.0049, 0.005, 0.126, 0.81, 0.994, 0.9951, 1].map(percent)).toEqual([
    '0',
    '<1',
    '<1',
    '1',
    '13',
    '81',
    '99',
    '>99',
    '100',
  ]);
});

test('factors are short', () => {
  expect([0.02, 0.5, 1.3, 6.54, 21.4, 240].map(factor)).toEqual(['<0.1', '0.5', '1.3', '6.5', '21', '>99']);
});

test('numbers are read as people type them, and nothing else is', () => {
  expect(['2318,5', ' 12.0 ', '1 200', '-3'].map(number)).toEqual([2318.5, 12, 1200, -3]);
  expect(['', '12 mm', '1.2.3', 'abc', '1,2,3'].map(number)).toEqual([null, null, null, null, null]);
});

test('days are said as at the bench', () => {
  const now = new Date('2026-11-24T10:00:00Z');
  expect(
    ['2026-11-24', '2026-11-25', '2026-11-27', '2026-12-04', '2026-11-20'].map((d) =>
      promised(d, 'UTC', now),
    ),
  ).toEqual(['today', 'tomorrow', 'Fri', '4 Dec', '20 Nov']);
  expect(since('2026-11-24T08:10:00Z', 'UTC', now)).toBe('since 08:10');
  expect(since('2026-11-23T08:10:00Z', 'UTC', now)).toBe('yesterday');
  expect(since('2026-11-15T08:10:00Z', 'UTC', now)).toBe('9 days');
  expect(day('2026-11-24T23:30:00Z', 'Europe/Berlin')).toBe('25 Nov 2026');
});

test('hours and money', () => {
  expect([null, 12.35, 2318.4, 12345].map(hours)).toEqual(['–', '12.4', '2318', '12,345']);
  expect(money(290458, 'EUR')).toBe('€2,904.58');
});

test('days are the shop’s, not those of the browser’s clock in another zone', () => {
  // half past eleven in the evening of the 27th by UTC is the 28th already at the shop
  const late = new Date('2026-11-27T23:30:00Z');
  expect(dayIn('Pacific/Auckland', late)).toBe('2026-11-28');
  expect(promised('2026-11-28', 'Pacific/Auckland', late)).toBe('today');
  expect(promised('2026-11-27', 'UTC', late)).toBe('today');
  expect(promised('2026-11-28', 'UTC', late)).toBe('tomorrow');
  expect(promised('2026-11-27', 'Pacific/Auckland', late)).toBe('27 Nov');
  // an hour ago, but on the other side of the shop’s midnight
  expect(since('2026-11-27T22:45:00Z', 'Europe/Berlin', late)).toBe('yesterday');
  expect(since('2026-11-27T23:05:00Z', 'Europe/Berlin', late)).toBe('since 00:05');
  expect(since('2026-11-25T10:00:00Z', 'UTC', late)).toBe('2 days');
});
