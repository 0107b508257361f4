/** The forms in which a picture's bytes are kept. */
export const RENDITIONS = ['original', 'working', 'thumbnail'] as const;
export type Rendition = (typeof RENDITIONS)[number];
