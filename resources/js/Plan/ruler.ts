/** A day laid out from one hour to another: where a moment stands, in parts of a hundred. */
export interface Ruler {
  from: number;
  to: number;
}

export const rulerOf = (from: string, to: string): Ruler => ({ from: Date.parse(from), to: Date.parse(to) });

export function at(ruler: Ruler, moment: number): number {
  const share = (moment - ruler.from) / (ruler.to - ruler.from);
  return 100 * Math.min(1, Math.max(0, share));
}

/** Left edge and width of a span, cut off where the day is. */
export function span(ruler: Ruler, start: string, end: string): { left: number; width: number } {
  const left = at(ruler, Date.parse(start));
  return { left, width: Math.max(0, at(ruler, Date.parse(end)) - left) };
}

/** Every full hour, with its name in the shop's zone. */
export function hours(ruler: Ruler, zone: string): { left: number; name: string }[] {
  const marks = [];
  const format = new Intl.DateTimeFormat('en-GB', { hour: 'numeric', timeZone: zone });
  for (let moment = ruler.from; moment <= ruler.to; moment += 3_600_000) {
    marks.push({ left: at(ruler, moment), name: String(Number(format.format(new Date(moment)))) });
  }
  return marks;
}

/** Minutes as people say them. */
export function long(minutes: number): string {
  if (minutes < 100) return `${Math.round(minutes)} min`;
  const hours = Math.floor(minutes / 60);
  const rest = Math.round(minutes % 60);
  return rest === 0 ? `${hours} h` : `${hours} h ${rest}`;
}
