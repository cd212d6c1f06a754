/** What a scanner reads off a bin label: the address of a part, of which its number is wanted; or the number or bin itself. */
export const onLabel = (text: string): string => text.trim().replace(/^https?:\/\/[^ ]*\/shelf\//, '');
