const KEPT = 'draft:';

/** What is being typed in a form, kept in this browser until it is sent. */
export class Draft<T extends Record<string, string>> {
  /** Whose they are: on a shared tablet nobody sees another’s. */
  static of: number | null = null;

  /** Everything that was being typed on this device, by anybody. */
  static forget(): void {
    for (const key of Object.keys(localStorage)) if (key.startsWith(KEPT)) localStorage.removeItem(key);
  }

  value: T;
  readonly #key: string;
  readonly #empty: T;

  constructor(name: string, empty: T) {
    this.#key = `${KEPT}${Draft.of ?? ''}:${name}`;
    this.#empty = { ...empty };
    this.value = $state({ ...empty, ...this.#read() });
    $effect(() => {
      const now = JSON.stringify(this.value);
      if (now === JSON.stringify(this.#empty)) localStorage.removeItem(this.#key);
      else localStorage.setItem(this.#key, now);
    });
  }

  /** Something was typed. */
  get kept(): boolean {
    return JSON.stringify(this.value) !== JSON.stringify(this.#empty);
  }

  clear(): void {
    Object.assign(this.value, this.#empty);
    localStorage.removeItem(this.#key);
  }

  #read(): Partial<T> {
    try {
      return JSON.parse(localStorage.getItem(this.#key) ?? '{}') as Partial<T>;
    } catch {
      return {};
    }
  }
}
