import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';

type Child = Node | string;

/** An element with its class and what is in it. */
export function element<K extends keyof HTMLElementTagNameMap>(
  tag: K,
  className: string,
  ...children: Child[]
): HTMLElementTagNameMap[K] {
  const made = document.createElement(tag);
  if (className) made.className = className;
  made.append(...children);
  return made;
}

export function button(label: Child, onClick: () => void, className = ''): HTMLButtonElement {
  const made = element('button', className, label);
  made.type = 'button';
  made.addEventListener('click', onClick);
  return made;
}

export function patch(colour: Oklab): HTMLSpanElement {
  const made = element('span', '');
  made.style.background = hexFromOklab(colour);
  return made;
}

/** A colour as a button with its number under it. */
export function colourButton(colour: Oklab, number: number, onClick: () => void) {
  const made = button(patch(colour), onClick);
  made.append(String(number));
  made.setAttribute('aria-label', `Colour ${number}`);
  return made;
}
