/** What a press looks like, whether it is a button, a link or a file to be chosen. main: the next thing to do; red: about danger. */
export const looks = {
  main: 'min-h-11 border border-action bg-action px-4 font-semibold text-white hover:bg-pressed',
  plain: 'min-h-11 border border-action bg-white px-3.5 font-semibold text-action hover:bg-wash',
  quiet: 'min-h-9 px-1.5 text-sm text-quiet underline hover:text-ink',
  red: 'min-h-11 border-2 border-red bg-white px-3.5 font-semibold text-red hover:bg-out-wash',
} as const;

export type Look = keyof typeof looks;

export const press = 'inline-flex items-center justify-center gap-1 rounded-sm leading-tight';
