/** Whose a machine can be. */
export const held = [
  { code: 'owner', name: 'An owner’s' },
  { code: 'farm', name: 'Our own farm’s' },
  { code: 'resale', name: 'Bought for resale' },
] as const;
