'use client';

import type { MoodSettings } from '@/core/transfer/moods';
import { useDocument } from '../../desk-store';
import { useAnswer } from '../../use-answer';

/** What a mood does to the picture's values, and the palette that comes of it. */
export function useMoodEffect(settings: MoodSettings) {
  const squint = useDocument((document) => document.values.squint);
  const marks = useDocument((document) => document.depth.marks);
  const parts = useDocument((document) => document.use.parts);
  return useAnswer<'moodEffect'>({ kind: 'moodEffect', settings, squint, marks, parts });
}
