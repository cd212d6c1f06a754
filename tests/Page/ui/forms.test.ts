import Countdown from '@/ui/Countdown.svelte';
import Field from '@/ui/Field.svelte';
import Pick from '@/ui/Pick.svelte';
import Press from '@/ui/Press.svelte';
import { now } from '@/ui/now.svelte';
import Problem from '@/ui/Problem.svelte';
import StationRuler from '@/Intake/StationRuler.svelte';
import type { Job } from '@/api/types';
import { fireEvent, render, screen } from '@testing-library/svelte';
import { tick } from 'svelte';
import { describe, expect, test, vi } from 'vitest';

describe('a field', () => {
  test('has its label, and its hint is read with it', () => {
    render(Field, { label: 'Print hours', value: '', hint: 'as on the counter', unit: 'h', numeric: true });
    const input = screen.getByLabelText('Print hours');
    expect(document.getElementById(input.getAttribute('aria-describedby') ?? '')?.textContent).toBe(
      'as on the counter',
    );
    expect(input.getAttribute('inputmode')).toBe('decimal');
    expect(input.getAttribute('aria-invalid')).toBeNull();
  });

  test('with an error is invalid, and the error takes the place of the hint', () => {
    render(Field, { label: 'Print hours', value: 'x', hint: 'as on the counter', error: 'Type a number.' });
    const input = screen.getByLabelText('Print hours');
    expect(input.getAttribute('aria-invalid')).toBe('true');
    expect(screen.queryByText('as on the counter')).toBeNull();
    expect(document.getElementById(input.getAttribute('aria-describedby') ?? '')?.textContent).toBe(
      '✕ Type a number.',
    );
  });

  test('Enter does what it is for, once, and sends no form', async () => {
    const onenter = vi.fn();
    render(Field, { label: 'Serial', value: 'T-1', onenter });
    const went = await fireEvent.keyDown(screen.getByLabelText('Serial'), { key: 'Enter' });
    expect(went).toBe(false);
    await fireEvent.keyDown(screen.getByLabelText('Serial'), { key: 'a' });
    expect(onenter).toHaveBeenCalledTimes(1);
  });

  test('of several lines is one, and takes no more than it may', () => {
    render(Field, { label: 'Complaint', value: '', rows: 3, maxlength: 200 });
    const area = screen.getByLabelText('Complaint');
    expect(area.tagName).toBe('TEXTAREA');
    expect(area.getAttribute('maxlength')).toBe('200');
  });
});

describe('a choice among words', () => {
  const items = [
    { code: 'jams-when-warm', name: 'jams when warm' },
    { code: 'strings', name: 'strings between parts' },
    { code: 'warm-smell', name: 'smells warm' },
  ];
  const type = async (words: string): Promise<string[]> => {
    const input = screen.getByRole<HTMLInputElement>('combobox');
    input.value = words;
    await fireEvent.input(input);
    await tick();
    return screen.queryAllByRole('option').map((one) => one.textContent.trim());
  };

  test('every word typed begins a word of the name; those that begin with it come first', async () => {
    render(Pick, { label: 'What it does', items, onpick: vi.fn() });
    expect(await type('warm')).toEqual(['jams when warm', 'smells warm']);
    expect(await type('sm wa')).toEqual(['smells warm']);
    expect(await type('arm')).toEqual([]);
    expect(document.body.textContent).toContain('Nothing is called so.');
  });

  test('what is likely stands under its digit', async () => {
    const onpick = vi.fn();
    render(Pick, {
      label: 'What it does',
      items,
      quick: ['strings', 'gone', 'jams-when-warm'],
      onpick,
      clears: true,
    });
    const input = screen.getByRole('combobox');
    await fireEvent.focus(input);
    await fireEvent.keyDown(input, { key: '2' });
    expect(onpick).toHaveBeenCalledExactlyOnceWith('jams-when-warm');
    await fireEvent.keyDown(input, { key: '9' });
    expect(onpick).toHaveBeenCalledTimes(1);
  });
});

test('one of several is pressed, and it is said which', async () => {
  const onchange = vi.fn();
  const choices = [
    { code: 'repair', name: 'Repair' },
    { code: 'service', name: 'Service' },
  ] as const;
  render(Press, { label: 'Kind', value: 'repair', choices, onchange });
  expect(screen.getByRole('radio', { name: /Repair/ }).getAttribute('aria-checked')).toBe('true');
  await fireEvent.click(screen.getByRole('radio', { name: /Service/ }));
  expect(onchange).toHaveBeenCalledExactlyOnceWith('service');
});

test('a problem is an alert; several reasons are a list, none is nothing', async () => {
  const { rerender, container } = render(Problem, { message: undefined });
  expect(container.textContent.trim()).toBe('');
  await rerender({ message: 'It cannot go', reasons: ['No PIN', 'Red tag'] });
  expect(screen.getByRole('alert').querySelectorAll('li')).toHaveLength(2);
  await rerender({ message: 'It cannot go', reasons: ['It cannot go'] });
  expect(screen.getByRole('alert').textContent.trim()).toBe('✕ It cannot go');
});

test('a clock counts down in minutes and hours, and up once it has rung', () => {
  const at = (seconds: number): string => new Date(now.ms + 1000 * seconds).toISOString();
  const said = (seconds: number): string =>
    render(Countdown, { until: at(seconds) }).container.textContent.trim();
  expect([3723, 65, 9, -61].map(said)).toEqual(['1:02:03', '1:05', '0:09', '+1:01']);
});

test('the ruler points at where a job stands, and another station can be looked at', async () => {
  const stations = ['Book in', 'Make safe', 'Find', 'Fix', 'Prove', 'Send out'].map((name, i) => ({
    code: ['intake', 'safety', 'diagnosis', 'repair', 'proof', 'release'][i],
    name,
    minutes: i === 2 ? 12.4 : 0,
    obstacles: [],
  }));
  const job = { station: 'diagnosis', stations, finishedAt: null } as unknown as Job;
  const { container } = render(StationRuler, { job, viewed: 'diagnosis' });
  expect(screen.getByRole('button', { current: 'step' }).textContent).toBe('Find');
  expect(container.textContent).toContain('12 min');
  await fireEvent.click(screen.getByRole('button', { name: 'Fix' }));
  expect(screen.getByRole('button', { name: 'Fix' }).getAttribute('aria-pressed')).toBe('true');
});
