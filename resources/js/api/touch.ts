/** When a hand was last on this device. */
class Touch {
  last = Date.now();

  constructor() {
    for (const kind of ['pointerdown', 'keydown', 'wheel'])
      window.addEventListener(kind, () => (this.last = Date.now()), { passive: true, capture: true });
  }

  /** Nobody's hand is on it: what the page asks for now, it asks by itself. */
  get rests(): boolean {
    return Date.now() - this.last > 60_000;
  }

  restsFor(minutes: number): boolean {
    return Date.now() - this.last > minutes * 60_000;
  }
}

export const touch = new Touch();
