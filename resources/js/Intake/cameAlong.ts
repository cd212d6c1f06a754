import type { Knowledge } from '@/api/types';

/** Something that came along, as it is ticked: of the list by its code, or written by hand. */
export interface CameAlong {
  code: string | null;
  name: string;
  came: number;
  went: number;
  staysBecause: string | null;
}

/** What usually comes along with a machine of this family; of one that is not known yet, all there is. */
export const usual = (words: Knowledge, family: string | null): { code: string; name: string }[] => {
  const of = words.families.find((one) => one.code === family)?.accessories;
  return words.accessories.filter((one) => of === undefined || of.includes(one.code));
};

export const kept = (text: string): CameAlong[] => {
  try {
    const list: unknown = JSON.parse(text);
    return Array.isArray(list) ? (list as CameAlong[]) : [];
  } catch {
    return [];
  }
};
