/** How a write names the owner: one that is known by the number, or a name that was typed; nothing where it is nobody’s. */
export const ownerBody = (heldAs: string, id: string, name: string, contact: string, another: boolean) =>
  heldAs !== 'owner'
    ? {}
    : id !== ''
      ? { ownerId: Number(id) }
      : { ownerName: name || null, ownerContact: contact || null, ownerIsAnother: another };
