/** Lives of 100 hours and of 30,000 stand on one scale: each decade takes as much room. */
const FIRST = 100;
export const LAST = 40_000;
export const marks = [100, 300, 1000, 3000, 10_000, 30_000] as const;

/** Per cent of the way from the first to the last. */
export const along = (hours: number): number =>
  (100 * Math.log(Math.min(LAST, Math.max(FIRST, hours)) / FIRST)) / Math.log(LAST / FIRST);
