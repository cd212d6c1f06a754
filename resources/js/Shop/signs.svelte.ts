import type { Here } from '@/api/session.svelte';

/** Who signs, and with which PIN: asked only on a tablet that others use too. */
export class Signs {
  signer = $state('');
  pin = $state('');

  constructor(
    private readonly here: Here,
    /** only a lead’s signature counts here */
    private readonly byLead: () => boolean = () => false,
  ) {}

  /** A PIN is asked for. */
  get asked(): boolean {
    return this.here.session?.shared ?? false;
  }

  get who(): { code: string; name: string }[] {
    return (this.here.session?.signers ?? [])
      .filter((one) => one.isLead || !this.byLead())
      .map((one) => ({ code: String(one.id), name: one.name }));
  }

  /** Whoever is logged in, where that one may; else the first that may. */
  get chosen(): string {
    const me = String(this.here.person.id);
    const may = this.who;
    return this.signer || (may.find((one) => one.code === me) ?? may[0])?.code || me;
  }

  /** What a signed write carries besides its own; the PIN is forgotten here once it is sent. */
  body(): { signer: number; pin: string } | Record<string, never> {
    if (!this.asked) return {};
    const pin = this.pin;
    this.pin = '';
    return { signer: Number(this.chosen), pin };
  }
}
