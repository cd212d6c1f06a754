/** A printer under proof, as the runner tells it to every screen. */
export interface HotPrinter {
  run: number;
  job: number | null;
  tag: string;
  printer: string;
  hot: boolean;
  alarm: string | null;
  since: string | null;
  hotendC: number | null;
  bedC: number | null;
  ageS: number | null;
}

const EVERY_MS = 2000;
/** A runner that says nothing new for so long while something is hot is not there to switch it off. */
const SILENT_S = 12;

const isPrinters = (value: unknown): value is { at: string; printers: HotPrinter[] } =>
  typeof value === 'object' && value !== null && 'at' in value && 'printers' in value;

/**
 * What is hot, from a file that the web server gives out by itself: it is there when the database is away, and for
 * whoever is not logged in.
 */
class Heat {
  private told = $state<HotPrinter[]>([]);
  private silent = $state(false);
  private heard = performance.now();

  constructor() {
    void this.ask();
    setInterval(() => void this.ask(), EVERY_MS);
  }

  /** Printers somebody has to look at now. */
  get alarms(): HotPrinter[] {
    return this.told
      .filter((printer) => printer.alarm !== null || (this.silent && printer.hot))
      .map((printer) => ({
        ...printer,
        alarm: printer.alarm ?? 'The runner is not heard of, and heaters may be on: pull the plug.',
      }));
  }

  /** Somebody has said that its plug is pulled. */
  forget(run: number): void {
    this.told = this.told.filter((printer) => printer.run !== run);
  }

  private async ask(): Promise<void> {
    try {
      const response = await fetch('/heat.json', { cache: 'no-store' });
      const told: unknown = response.ok ? await response.json() : null;
      if (isPrinters(told)) {
        // both by the server’s clock, so that this screen’s own does not matter
        const age = (Date.parse(response.headers.get('Date') ?? told.at) - Date.parse(told.at)) / 1000;
        this.told = told.printers;
        this.silent = age > SILENT_S;
        this.heard = performance.now();
      } else if (response.status === 404) {
        // nothing was ever run here
        this.told = [];
      }
    } catch {
      // the web server is away as well: what was hot when it was heard last may still be
      this.silent = performance.now() - this.heard > SILENT_S * 1000;
    }
  }
}

export const heat = new Heat();
