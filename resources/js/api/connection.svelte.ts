/** Whether the server is reached; a write that could not be sent is kept and tried again. */
class Connection {
  lost = $state(false);
  why = $state('No connection.');

  /** Writes that are on their way or wait for the server: they live in this page only. */
  writing = 0;

  /** Writes that were answered since the page was opened. */
  written = 0;

  lose(why = 'No connection.'): void {
    this.lost = true;
    this.why = why;
  }

  found(): void {
    this.lost = false;
  }
}

export const connection = new Connection();
