/** Whether the server is reached; a write that could not be sent is kept and tried again. */
class Connection {
  lost = $state(false);
  why = $state('No connection.');

  lose(why = 'No connection.'): void {
    this.lost = true;
    this.why = why;
  }

  found(): void {
    this.lost = false;
  }
}

export const connection = new Connection();
