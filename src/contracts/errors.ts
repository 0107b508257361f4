import { z } from 'zod';

/** What went wrong, for programs (the code) and for the person (the sentence). */
export const errorBodySchema = z.object({
  code: z.string(),
  message: z.string(),
  status: z.number(),
});
export type ErrorBody = z.infer<typeof errorBodySchema>;

/** Holds the name of a file that is sent as it is, percent-encoded. */
export const FILE_NAME_HEADER = 'x-file-name';
