/** Where a machine is, in words. */
export const places = {
  bench: 'on the bench',
  service: 'in service',
  owner: 'with its owner',
  sale: 'for sale',
  donor: 'donor shelf',
  scrap: 'scrapped',
  unmended: 'back unmended',
} as const;

export type Place = keyof typeof places;
