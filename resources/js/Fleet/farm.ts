import type { Weeks } from '@/api/queries';
import type { Farm, FarmMachine } from '@/api/types';
import { hours, percent } from '@/ui/format';

/** What a machine is marked with; the first of these that is so is said under it. */
export type Mark = 'red' | 'bench' | 'fail' | 'service' | 'wonder';

export const marks: readonly { code: Mark; name: string }[] = [
  { code: 'red', name: 'red tag' },
  { code: 'bench', name: 'on the bench' },
  { code: 'fail', name: 'likely to fail' },
  { code: 'service', name: 'service due' },
  { code: 'wonder', name: 'counter not believed' },
];

export function marksOf(machine: FarmMachine, likely: number): Mark[] {
  const of: Mark[] = [];
  if (machine.redTag !== null) of.push('red');
  if (machine.openJob !== null) of.push('bench');
  if (machine.risk >= likely) of.push('fail');
  if (machine.serviceDays !== null && machine.serviceDays <= 0) of.push('service');
  if (machine.wonder !== null) of.push('wonder');
  return of;
}

/** One or two words under a machine: what matters now, or its hours. */
export function wordsOf(machine: FarmMachine, mark: Mark | undefined): string {
  switch (mark) {
    case 'red':
      return machine.redTag ?? '';
    case 'bench':
      return machine.station ?? '';
    case 'fail':
      return `${machine.worst ?? ''} ${percent(machine.risk)} %`;
    case 'service':
      return machine.service ?? '';
    case 'wonder':
      return 'read its counter';
    default:
      return machine.hours === null ? 'hours not known' : `${hours(machine.hours)} h`;
  }
}

export const spans: readonly { code: Weeks; name: string }[] = [
  { code: 1, name: 'a week' },
  { code: 2, name: '2 weeks' },
  { code: 4, name: '4 weeks' },
  { code: 8, name: '8 weeks' },
];

/** The router hands numbers on as numbers. */
export const weeksOf = (said: unknown): Weeks =>
  spans.find((span) => String(span.code) === String(said))?.code ?? 2;

/** Where machines stand: “rack shelf place” => machine. */
export function standing(machines: readonly FarmMachine[]): Map<string, FarmMachine> {
  return new Map(
    machines
      .filter((machine) => machine.rack !== null)
      .map((machine) => [`${machine.rack} ${machine.shelf} ${machine.spot}`, machine]),
  );
}

/** How large machines are drawn so that all of them are seen at once. */
export type Size = 'large' | 'middle' | 'small' | 'tiny';

export function sizeOf(farm: Farm): Size {
  const many = farm.machines.length;
  return many <= 36 ? 'large' : many <= 70 ? 'middle' : many <= 110 ? 'small' : 'tiny';
}
