/** Every zone the browser knows, for a list. */
export const zones = (): { code: string; name: string }[] =>
  Intl.supportedValuesOf('timeZone').map((zone) => ({ code: zone, name: zone.replaceAll('_', ' ') }));

export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
