import { Refusal } from '@/api/client';

/** One write at a time, with its refusal kept for the fields to show. */
export class Work {
  busy = $state(false);
  refusal = $state<Refusal | null>(null);

  async do(action: () => Promise<unknown>): Promise<boolean> {
    if (this.busy) return false;
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

  /** The refusal of a field, for under it. */
  error(field: string): string | undefined {
    return this.refusal?.for(field);
  }
}
