import type { ShelfContent, ShelfTube } from '@/contracts/shelf';

export const someTube = (id: string, part: Partial<ShelfTube> = {}): ShelfTube => ({
  id,
  name: `Tube ${id}`,
  maker: 'Tarn & Fell',
  number: '',
  pigments: ['PB29'],
  strength: 1,
  opacity: null,
  standing: 'palette',
  pricePerMl: null,
  card: null,
  ...part,
});

export const someShelf = (...ids: string[]): ShelfContent => ({
  owner: '',
  bin: [],
  sticks: [],
  pencils: [],
  inks: [],
  patches: [],
  tubes: ids.map((id) => someTube(id)),
  tries: [],
});
