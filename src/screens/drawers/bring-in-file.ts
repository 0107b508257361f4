import { z } from 'zod';
import { savedLibrarySchema } from '@/contracts/library';
import { sendFile } from '@/ui/api';

const broughtIn = savedLibrarySchema.extend({ name: z.string(), loses: z.array(z.string()) });

/** Sends a library file; throws a RefusedError whose sentence says which line is wrong. */
export function bringInFile(file: File): Promise<z.infer<typeof broughtIn>> {
  return sendFile('/api/libraries/file', file, broughtIn);
}
