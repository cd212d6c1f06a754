/** What somebody is here to do, as a lead says it. */
export const roles = [
  { code: 'technician', name: 'mend (technician)' },
  { code: 'lead', name: 'lead' },
  { code: 'counter', name: 'take in and hand out (counter)' },
  { code: 'read-only', name: 'look only' },
] as const;
