import { Refusal } from '@/api/client';

/** One write at a time, with its refusal kept for the fields to show. */
export class Work {
  busy = $state(false);
  refusal = $state<Refusal | null>(null);

  private running: Promise<boolean> = Promise.resolve(true);

  /** A second press while the first is on its way does nothing. */
  do(action: () => Promise<unknown>): Promise<boolean> {
    if (this.busy) return Promise.resolve(false);
    this.running = this.run(action);
    return this.running;
  }

  /** After what is on its way, whatever became of that: nothing somebody typed quickly is dropped. */
  async inTurn(action: () => Promise<unknown>): Promise<boolean> {
    while (this.busy) await this.running;
    return this.do(action);
  }

  /** After what is on its way, where this builds on it; not at all when that was refused. */
  async after(action: () => Promise<unknown>): Promise<boolean> {
    while (this.busy) if (!(await this.running)) return false;
    return this.do(action);
  }

  /** When nothing of it is on its way any more; whether what was last on its way was taken. */
  async settled(): Promise<boolean> {
    let taken = true;
    while (this.busy) taken = await this.running;
    return taken;
  }

  private async run(action: () => Promise<unknown>): Promise<boolean> {
    this.busy = true;
    this.refusal = null;
    try {
      await action();
      return true;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      this.refusal = error;
      return false;
    } finally {
      this.busy = false;
    }
  }

  /** What was refused that none of these fields shows under itself; nothing when they show it all. */
  leftover(...fields: string[]): string | undefined {
    const shown = (field: string): boolean =>
      fields.some((own) => field === own || field.startsWith(`${own}.`));
    return this.refusal &&
      !(this.refusal.errors.length > 0 && this.refusal.errors.every((one) => shown(one.field)))
      ? this.refusal.message
      : undefined;
  }

  /** The refusal of a field, for under it. */
  error(field: string): string | undefined {
    return this.refusal?.for(field);
  }
}
