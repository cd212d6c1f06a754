// The doors of this room: what others may use of it.
export { default as OwnerField } from './OwnerField.svelte';
export { held } from './held';
export { ownerBody } from './ownerBody';
export { default as PassportRail } from './PassportRail.svelte';
export { default as WarrantyChoice } from './WarrantyChoice.svelte';
