import { MAX_STICKS, type ShelfContent, type ShelfStick } from '@/contracts/shelf';

/** With some sticks more. Throws a RangeError where there is no room for them. */
export function addSticks(shelf: ShelfContent, sticks: readonly ShelfStick[]): ShelfContent {
  if (shelf.sticks.length + sticks.length > MAX_STICKS)
    throw new RangeError(`A shelf holds up to ${MAX_STICKS} sticks; nothing was added.`);
  return { ...shelf, sticks: [...shelf.sticks, ...sticks] };
}

export function editStick(
  shelf: ShelfContent,
  id: string,
  part: Partial<Omit<ShelfStick, 'id'>>,
): ShelfContent {
  return {
    ...shelf,
    sticks: shelf.sticks.map((stick) => (stick.id === id ? { ...stick, ...part } : stick)),
  };
}

export function removeStick(shelf: ShelfContent, id: string): ShelfContent {
  return { ...shelf, sticks: shelf.sticks.filter((stick) => stick.id !== id) };
}

/** The sticks that can be laid out today. */
export const sticksHere = ({ sticks }: ShelfContent): ShelfStick[] =>
  sticks.filter(({ standing }) => standing === 'here');

/** "14 slate blue": how a stick is called for. */
export const stickName = ({ number, name }: Pick<ShelfStick, 'number' | 'name'>): string =>
  number ? `${number} ${name}` : name;
