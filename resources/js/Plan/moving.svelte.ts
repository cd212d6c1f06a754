import type { PlanPerson, PlanStep } from '@/api/types';

const QUARTER = 15 * 60_000;

/** A step that is taken up and not put down yet. */
export class Moving {
  step = $state<PlanStep | null>(null);
  person = $state(0);
  start = $state(0);
  private from = 0;
  private fromPerson = 0;

  take(step: PlanStep, person: number): void {
    if (this.step?.job === step.job && this.step.what === step.what) return;
    this.step = step;
    this.person = this.fromPerson = person;
    this.start = this.from = Date.parse(step.start);
  }

  drop(): void {
    this.step = null;
  }

  is(step: PlanStep): boolean {
    return this.step?.job === step.job && this.step.what === step.what && step.state === 'ahead';
  }

  get moved(): boolean {
    return this.step !== null && (this.start !== this.from || this.person !== this.fromPerson);
  }

  get hands(): number {
    return this.step ? Date.parse(this.step.end) - Date.parse(this.step.start) : 0;
  }

  quarter(by: number, now: number): void {
    this.to(this.start + by * QUARTER, now);
  }

  /** To a quarter of an hour, never into what has been. */
  to(moment: number, now: number): void {
    this.start = Math.max(Math.ceil(now / QUARTER) * QUARTER, Math.round(moment / QUARTER) * QUARTER);
  }

  row(by: number, people: readonly PlanPerson[]): void {
    const at = people.findIndex((one) => one.id === this.person);
    const next = people[at + by];
    if (next) this.person = next.id;
  }
}
