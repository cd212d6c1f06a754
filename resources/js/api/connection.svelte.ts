/** Whether the server is reached; a write that could not be sent is kept and tried again. */
class Connection {
  lost = $state(false);

  lose(): void {
    this.lost = true;
  }

  found(): void {
    this.lost = false;
  }
}

export const connection = new Connection();
