/** A neutral of the surround for a chart, read when it is drawn: a canvas knows no variables. */
export const inkOf = (name: '--ink' | '--soft' | '--line') => () =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();
