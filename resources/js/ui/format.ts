/** Figures as people say them. */
export function percent(p: number): string {
  if (p > 0.995) return p === 1 ? '100' : '>99';
  if (p < 0.005) return p === 0 ? '0' : '<1';
  return String(Math.round(p * 100));
}

export function factor(f: number): string {
  if (f >= 99.5) return '>99';
  if (f >= 9.95) return String(Math.round(f));
  return f >= 0.095 ? f.toFixed(1) : '<0.1';
}

export const hours = (h: number | null): string =>
  h === null
    ? '–'
    : h.toLocaleString('en-GB', { maximumFractionDigits: h < 100 ? 1 : 0, useGrouping: h >= 10_000 });

export const minutes = (m: number): string => String(Math.round(m));

export function money(minor: number, currency: string): string {
  return new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(minor / 100);
}

export function clock(iso: string, zone: string): string {
  return new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: zone }).format(
    new Date(iso),
  );
}

export function day(iso: string, zone: string): string {
  return new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: zone,
  }).format(new Date(iso));
}

/** The day it is in a zone, as 2026-11-25. */
export const dayIn = (zone: string, at = new Date()): string =>
  new Intl.DateTimeFormat('en-CA', {
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    timeZone: zone,
  }).format(at);

/** Whole days from one day to another, both as 2026-11-25. */
const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000);

/** Since when: the time today, “3 days” before that, by the shop’s days. */
export function since(iso: string, zone: string, now = new Date()): string {
  const days = daysBetween(dayIn(zone, new Date(iso)), dayIn(zone, now));
  if (days === 0) return `since ${clock(iso, zone)}`;
  if (days === 1) return 'yesterday';
  return days < 60 ? `${days} days` : `${Math.round(days / 30)} months`;
}

/** A promised day as the shop sees it: “today”, “Thu”, “4 Dec”. */
export function promised(date: string, zone: string, now = new Date()): string {
  const days = daysBetween(dayIn(zone, now), date);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  const style = days > 0 && days < 7 ? { weekday: 'short' } : { day: 'numeric', month: 'short' };
  return new Intl.DateTimeFormat('en-GB', {
    ...(style as Intl.DateTimeFormatOptions),
    timeZone: 'UTC',
  }).format(new Date(`${date}T00:00:00Z`));
}

/** What somebody typed as a number: decimal comma or point; null when it is none. */
export function number(text: string): number | null {
  const plain = text.trim().replace(/\s/g, '').replace(',', '.');
  return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : null;
}
