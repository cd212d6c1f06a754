/** What the code of a label holds: the page its owner may see; the tag alone for whoever does not see owners. */
export const labelAddress = (of: { ownersPage: string | null; machine: { tag: string } }): string =>
  of.ownersPage === null ? of.machine.tag : new URL(of.ownersPage, window.location.origin).href;
