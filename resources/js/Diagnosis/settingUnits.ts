import type { Named } from '@/api/types';

/** The settings the knowledge names as “nozzle, °C”: the name somebody types, and the unit beside it. */
export function settingNames(settings: readonly Named[]): { name: string; unit: string }[] {
  return settings.map(({ name }) => {
    const [word = '', unit = ''] = name.split(',');
    return { name: word.trim(), unit: unit.trim() };
  });
}

export const unitOf = (settings: readonly Named[], name: string): string =>
  settingNames(settings).find((setting) => setting.name === name)?.unit ?? '';
