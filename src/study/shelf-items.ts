import {
  MAX_ITEMS,
  type ItemKind,
  type ShelfContent,
  type ShelfItem,
  type ShelfPatch,
} from '@/contracts/shelf';

/** What one of a kind is called. */
export const ITEM_NOUN: Readonly<Record<ItemKind, string>> = {
  sticks: 'stick',
  pencils: 'pencil',
  inks: 'ink',
};

/** With some items more. Throws a RangeError where there is no room for them. */
export function addItems(
  shelf: ShelfContent,
  kind: ItemKind,
  items: readonly ShelfItem[],
): ShelfContent {
  if (shelf[kind].length + items.length > MAX_ITEMS)
    throw new RangeError(`A shelf holds up to ${MAX_ITEMS} ${kind}; nothing was added.`);
  return { ...shelf, [kind]: [...shelf[kind], ...items] };
}

export function editItem(
  shelf: ShelfContent,
  kind: ItemKind,
  id: string,
  part: Partial<Omit<ShelfItem, 'id'>>,
): ShelfContent {
  return {
    ...shelf,
    [kind]: shelf[kind].map((item) => (item.id === id ? { ...item, ...part } : item)),
  };
}

export function removeItem(shelf: ShelfContent, kind: ItemKind, id: string): ShelfContent {
  return { ...shelf, [kind]: shelf[kind].filter((item) => item.id !== id) };
}

/** Those that can be laid out today. */
export const itemsHere = (shelf: ShelfContent, kind: ItemKind): ShelfItem[] =>
  shelf[kind].filter(({ standing }) => standing === 'here');

/** "14 slate blue": how an item is called for. */
export const itemName = ({ number, name }: Pick<ShelfItem, 'number' | 'name'>): string =>
  number ? `${number} ${name}` : name;

/** With a patch that was laid, the newest first. */
export function addPatch(shelf: ShelfContent, patch: ShelfPatch): ShelfContent {
  return { ...shelf, patches: [patch, ...shelf.patches] };
}

export function removePatch(shelf: ShelfContent, id: string): ShelfContent {
  return { ...shelf, patches: shelf.patches.filter((patch) => patch.id !== id) };
}
