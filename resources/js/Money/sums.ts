/** A sum as it stands in a field. */
export const inField = (minor: number | null | undefined): string =>
  minor === null || minor === undefined ? '' : (minor / 100).toFixed(2);

/** What was typed, or nothing. */
export const typed = (text: string): string | null => (text.trim() === '' ? null : text.trim());

export const ways = [
  { code: 'phone', name: 'by phone' },
  { code: 'counter', name: 'at the counter' },
  { code: 'letter', name: 'by letter' },
  { code: 'email', name: 'by e-mail' },
  { code: 'page', name: 'on its page' },
] as const;

export type Way = (typeof ways)[number]['code'];

export const wayName = (way: string): string => ways.find((one) => one.code === way)?.name ?? way;
