/** Every zone the browser knows, for a list; it leaves out that of the clock itself. */
export const zones = (): { code: string; name: string }[] =>
  [...new Set(['UTC', zoneHere(), ...Intl.supportedValuesOf('timeZone')])]
    .sort()
    .map((zone) => ({ code: zone, name: zone.replaceAll('_', ' ') }));

export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
