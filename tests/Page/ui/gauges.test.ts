import BandGauge from '@/ui/BandGauge.svelte';
import LeanBar from '@/ui/LeanBar.svelte';
import Tag from '@/ui/Tag.svelte';
import CoverStrip from '@/Stock/CoverStrip.svelte';
import { render, screen } from '@testing-library/svelte';
import { describe, expect, test } from 'vitest';

const styles = (root: Element): string[] =>
  [...root.querySelectorAll<HTMLElement>('[style]')].map((one) => one.getAttribute('style') ?? '');

describe('a reading on its scale', () => {
  const gauge = {
    label: 'Resistance',
    unit: 'Ω',
    value: 4,
    from: 0,
    to: 10,
    okFrom: 3,
    okTo: 5,
    watchFrom: 2,
    watchTo: 6,
  };

  test('says its value and its verdict in words, and draws its zones to scale', () => {
    const { container } = render(BandGauge, { gauge, verdict: 'ok' });
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe('Resistance: 4 Ω, well');
    expect(styles(container)).toContain('left: 20%; width: 40%;');
    expect(styles(container)).toContain('left: 30%; width: 20%;');
  });

  test.each([
    ['watch', 'to be watched'],
    ['out', 'out'],
    ['danger', 'danger'],
    ['inconclusive', 'not settled'],
  ])('%s is said as %s, never as well', (verdict, words) => {
    render(BandGauge, { gauge, verdict });
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(`Resistance: 4 Ω, ${words}`);
  });

  test('a value beyond the scale stands at its end, with its own figure', () => {
    const { container } = render(BandGauge, { gauge: { ...gauge, value: -240.06 }, verdict: 'out' });
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('−240 Ω');
    expect(styles(container)).toContain('left: calc(0% - 1.5px);');
  });
});

describe('a probability leans', () => {
  test('right from where it began when it rose, hatched when it is dangerous', () => {
    const { container } = render(LeanBar, { from: 0.25, to: 0.75, danger: true });
    expect(styles(container)).toEqual(['left: 25%; width: 50%;', 'left: calc(25% - 1px);']);
    expect(container.querySelector('.hatch')).not.toBeNull();
  });

  test('left when it fell, and then nothing is hatched', () => {
    const { container } = render(LeanBar, { from: 0.75, to: 0.25, danger: true });
    expect(styles(container)[0]).toBe('left: 25%; width: 50%;');
    expect(container.querySelector('.hatch')).toBeNull();
  });

  test('is never so thin that it cannot be seen', () => {
    const { container } = render(LeanBar, { from: 0.5, to: 0.5 });
    expect(styles(container)[0]).toBe('left: 50%; width: 0.8%;');
  });
});

describe('what is left of a part', () => {
  test('is said in weeks against half a year, with its order mark', () => {
    const { container } = render(CoverStrip, { weeks: 6.5, orderAt: 13, toOrder: true });
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe('lasts 6.5 weeks, to be ordered');
    expect(styles(container)).toEqual(['width: 25%;', 'left: 50%;']);
    expect(container.textContent).toContain('▼ order');
  });

  test('grows its scale where ordering takes longer, and stops at its end', () => {
    const { container } = render(CoverStrip, { weeks: 400, orderAt: 40, toOrder: false });
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe('lasts >99 weeks');
    expect(styles(container)).toEqual(['width: 100%;', 'left: 80%;']);
  });

  test('nothing is said where nothing is known', () => {
    const { container } = render(CoverStrip, { weeks: null, orderAt: 3, toOrder: false });
    expect(container.textContent.trim()).toBe('');
  });
});

test('a tag carries its code, and a red one says so in words', () => {
  const { container, rerender } = render(Tag, { tag: 'TR-222-R' });
  expect(container.textContent.trim()).toBe('TR-222-R');
  return rerender({ tag: 'TR-222-R', red: true }).then(() =>
    expect(container.textContent).toContain('RED TAG'),
  );
});
