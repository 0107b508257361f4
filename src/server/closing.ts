/** Set when the server has been told to end: what fails from then on fails for that. */
const state = globalThis as typeof globalThis & { prismIsClosing?: boolean };

export const isClosing = () => state.prismIsClosing === true;

export function setClosing(closing: boolean): void {
  state.prismIsClosing = closing;
}
