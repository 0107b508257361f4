/** A drawing that can't be read, in one sentence for the person. */
export class DrawingError extends Error {
  constructor(sentence: string) {
    super(sentence);
    this.name = 'DrawingError';
  }
}
