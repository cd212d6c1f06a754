import type { paths } from '@/api/schema';
import { ownerBody } from '@/Machines';
import { kept } from './cameAlong';

/** The sheet as it is before anything is typed. */
export const blank = () => ({
  way: 'known' as 'known' | 'new',
  tag: '',
  kind: 'repair' as 'repair' | 'service' | 'upgrade' | 'inspection' | 'refurbish',
  family: '',
  unknownName: '',
  unknownTraits: '',
  serial: '',
  heldAs: 'owner' as 'owner' | 'farm' | 'resale',
  ownerId: '',
  ownerName: '',
  ownerContact: '',
  ownerIsAnother: '',
  pricePaid: '',
  hours: '',
  complaint: '',
  told: '',
  screenSaid: '',
  accessories: '',
  began: '',
  promisedFor: '',
});

export type Sheet = ReturnType<typeof blank>;

export const UNKNOWN = { code: 'unknown', name: 'None of these' };

export const traitsOf = (form: Sheet): Record<string, string> =>
  form.unknownTraits === '' ? {} : (JSON.parse(form.unknownTraits) as Record<string, string>);

type Body = NonNullable<paths['/jobs']['post']['requestBody']>['content']['application/json'];

/** The sheet as the server takes it; hours and price are read already. */
export function booking(
  form: Sheet,
  told: string[],
  hours: number | null,
  price: number | null,
  counterBeganAnew: boolean,
): Body {
  const common = {
    kind: form.kind,
    complaint: form.complaint,
    told,
    began: form.began as 'crept-in',
    hours,
    counterBeganAnew,
    screenSaid: form.screenSaid || null,
    accessories: kept(form.accessories).map(({ code, name, came }) => ({ code, name, came })),
    promisedFor: form.promisedFor || null,
  };
  if (form.way !== 'new') return { ...common, tag: form.tag.trim() };
  const traits = traitsOf(form);
  return {
    ...common,
    family: form.family,
    ...(form.family === UNKNOWN.code
      ? {
          unknownName: form.unknownName || null,
          unknownTraits: Object.values(traits).length > 0 ? traits : null,
        }
      : {}),
    serial: form.serial || null,
    heldAs: form.heldAs,
    ...ownerBody(form.heldAs, form.ownerId, form.ownerName, form.ownerContact, form.ownerIsAnother !== ''),
    pricePaidMinor: form.heldAs === 'resale' && price !== null ? Math.round(price * 100) : null,
  };
}
