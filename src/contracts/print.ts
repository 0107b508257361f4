import { z } from 'zod';

export const PAPERS = ['a4', 'a5', 'letter', '6x4'] as const;
export const paperSchema = z.enum(PAPERS);
export type Paper = z.infer<typeof paperSchema>;
