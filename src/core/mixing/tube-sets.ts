/** A set of tubes to begin a shelf with. */
export interface TubeSet {
  id: string;
  title: string;
  /** What it is good for, in a sentence. */
  about: string;
  pigments: readonly string[];
}

/** Sets that we put together; any painter would quarrel with each of them. */
export const TUBE_SETS: readonly TubeSet[] = [
  {
    id: 'primaries',
    title: 'Three primaries and white',
    about: 'The least that goes round the wheel; its violets and oranges are a little dull.',
    pigments: ['PW6', 'PY74', 'PR122', 'PB15.3'],
  },
  {
    id: 'earths',
    title: 'Earths',
    about: 'Quiet and steady: figures, stone and winter. Nothing in it can scream.',
    pigments: ['PW6', 'PY42', 'PR101', 'PBr7-burnt-sienna', 'PBr7-raw-umber', 'PB29', 'PBk9'],
  },
  {
    id: 'pairs',
    title: 'A warm and a cool of each',
    about: 'Whichever way a mixture has to lean, there is a tube that leans there.',
    pigments: ['PW6', 'PY3', 'PY83', 'PR254', 'PV19-rose', 'PB29', 'PB15.3', 'PBr7-burnt-sienna'],
  },
  {
    id: 'high-key',
    title: 'High key',
    about: 'Clean tints for light, snow and skies: weak, clear colours and much white.',
    pigments: ['PW6', 'PW4', 'PY184', 'PO62', 'PV19-rose', 'PB28', 'PB35', 'PG18'],
  },
];
