/** The time, once a second, shared by everything that counts. */
class Now {
  ms = $state(Date.now());

  constructor() {
    setInterval(() => (this.ms = Date.now()), 1000);
  }
}

export const now = new Now();
