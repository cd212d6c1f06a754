import { tinykeys } from 'tinykeys';
import { singleKeys } from './singleKeys.svelte';

const typing = (event: KeyboardEvent): boolean => {
  const target = event.target;
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      /^(input|textarea|select)$/i.test(target.tagName) ||
      target.closest('[role=dialog]') !== null)
  );
};

/** Single keys for the whole page; they rest while somebody types in a field. */
export function onKeys(actions: Record<string, () => unknown>): () => void {
  const bound: Record<string, (event: KeyboardEvent) => void> = {};
  for (const [key, action] of Object.entries(actions)) {
    bound[key] = (event) => {
      if (!singleKeys.on || typing(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      action();
    };
  }
  return tinykeys(window, bound);
}
