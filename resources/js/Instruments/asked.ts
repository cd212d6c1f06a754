import { asItIs } from '@/api/client';

/** What an instrument is asked with: texts by key, or a file with the texts beside it. */
export const asked = (texts: Record<string, string>, file: File | null) =>
  file ? { query: { typed: { ...texts } }, ...asItIs(file) } : { query: {}, body: { typed: { ...texts } } };
