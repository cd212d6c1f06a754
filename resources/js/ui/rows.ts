import { onKeys } from './keys';

/** Moves through the rows of a list with j and k; a row is a link with its key in data-line, so enter opens it. */
export function rowKeys(keys: () => (string | number)[]): () => void {
  const step = (by: number): void => {
    const all = keys().map(String);
    const at = all.indexOf(document.activeElement?.getAttribute('data-line') ?? '');
    const next = all[at === -1 ? 0 : Math.max(0, Math.min(all.length - 1, at + by))];
    if (next !== undefined) document.querySelector<HTMLElement>(`[data-line="${next}"]`)?.focus();
  };
  return onKeys({ j: () => step(1), k: () => step(-1) });
}
