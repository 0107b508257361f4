/**
 * Handlers of something that is pointed at, by the mouse or by focus. The mouse has to move for it: what
 * a new panel puts beneath a pointer at rest is entered, too, and nobody means it.
 */
export function pointing(on: () => void, off: () => void) {
  return { ...pointingByMouse(on, off), onFocus: on, onBlur: off };
}

/** The same, of what can't be focused. */
export function pointingByMouse(on: () => void, off: () => void) {
  return { onMouseMove: on, onMouseLeave: off };
}
