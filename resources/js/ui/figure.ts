import { wrong } from '@/api/client';
import { number } from './format';

/** What was typed as a figure; refused at its field when it is none. */
export function figure(field: string, text: string, message = 'Give a number.'): number {
  const value = number(text);
  if (value === null) throw wrong(field, message);
  return value;
}

/** The same for pieces, which are whole. */
export function whole(field: string, text: string, message = 'How many? A whole number.'): number {
  const value = figure(field, text, message);
  if (!Number.isInteger(value)) throw wrong(field, message);
  return value;
}
