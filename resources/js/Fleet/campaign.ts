/** Where a campaign began. */
export const origins = {
  fault: 'from a fault',
  batch: 'from a bad batch',
  bulletin: 'from a bulletin',
  thought: 'from a thought',
} as const;

export type Origin = keyof typeof origins;
