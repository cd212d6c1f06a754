const KEPT = 'odd-bench.single-keys';

/** Whether single keys do anything; some people's speech or hands press them unasked (WCAG 2.1.4). Kept on this device. */
class SingleKeys {
  on = $state(localStorage.getItem(KEPT) !== 'off');

  set(on: boolean): void {
    this.on = on;
    localStorage.setItem(KEPT, on ? 'on' : 'off');
  }
}

export const singleKeys = new SingleKeys();
