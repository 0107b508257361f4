/** What goes wrong in studies, told apart by kind and by zone: what comes back is counted by these. */
export const MISTAKE_KINDS = [
  'whole too light',
  'whole too dark',
  'range too short',
  'range too wide',
  'whole too strong',
  'whole too dull',
  'whole turned',
  'darks too light',
  'darks too dark',
  'middles too light',
  'middles too dark',
  'lights too light',
  'lights too dark',
  'masses too strong',
  'masses too dull',
  'hues off',
  'edges lost',
  'edges too hard',
  'turns flattened',
  'proportions off',
] as const;
export type MistakeKind = (typeof MISTAKE_KINDS)[number];

export interface Mistake {
  kind: MistakeKind;
  /** 1 is what nobody would overlook: a step of value, a twentieth of chroma, twenty degrees. */
  size: number;
}

/** What of a finding mistakes are counted by. */
export interface CountedFinding {
  shift: { value: number; valueGain: number; chromaGain: number; hueTurn: number } | null;
  relations: readonly { id: string; value: number; chroma: number; hue: number; at: number }[];
  edges: readonly { id: string; is: 'lost' | 'found'; length: number }[];
  flattened: readonly { id: string; share: number }[];
  proportions: {
    model: Readonly<Record<string, number>>;
    study: Readonly<Record<string, number>>;
    areOff: boolean;
  } | null;
}

/** By what a part of a finding that has no id of its own is left out. */
export const SHIFT_ID = 'shift';
export const PROPORTIONS_ID = 'proportions';

/** Munsell values at which a relation is one of the darks, the middles, the lights. */
const DARK_TO = 3.5;
const LIGHT_FROM = 6.5;
/** What makes a size of 1. */
const VALUE = 1;
const GAIN = 0.25;
const CHROMA = 0.05;
const TURN = 20;
const LENGTH = 0.25;
const FLAT = 0.05;
const SHARE = 0.1;
/** Smaller ones aren't counted. */
const MIN_SIZE = 0.3;
/** Of the relations, so many are counted: what comes after them is noise as often as not. */
const MAX_COUNTED = 3;

/** The mistakes in a finding, the largest of each kind, without what was excused (ids within the finding). */
export function mistakesOf(finding: CountedFinding, excused: readonly string[] = []): Mistake[] {
  const largest = new Map<MistakeKind, number>();
  const say = (kind: MistakeKind, size: number) => {
    if (size >= MIN_SIZE) largest.set(kind, Math.max(size, largest.get(kind) ?? 0));
  };
  const counts = ({ id }: { id: string }) => !excused.includes(id);
  if (finding.shift && !excused.includes(SHIFT_ID)) {
    const { value, valueGain, chromaGain, hueTurn } = finding.shift;
    say(value > 0 ? 'whole too light' : 'whole too dark', Math.abs(value) / VALUE);
    say(valueGain < 1 ? 'range too short' : 'range too wide', Math.abs(valueGain - 1) / GAIN);
    say(chromaGain > 1 ? 'whole too strong' : 'whole too dull', Math.abs(chromaGain - 1) / GAIN);
    say('whole turned', Math.abs(hueTurn) / TURN);
  }
  for (const { value, chroma, hue, at } of finding.relations.slice(0, MAX_COUNTED).filter(counts)) {
    const zone = at < DARK_TO ? 'darks' : at < LIGHT_FROM ? 'middles' : 'lights';
    say(`${zone} too ${value > 0 ? 'light' : 'dark'}`, Math.abs(value) / VALUE);
    say(chroma > 0 ? 'masses too strong' : 'masses too dull', Math.abs(chroma) / CHROMA);
    say('hues off', Math.abs(hue) / TURN);
  }
  const sum = (numbers: readonly number[]) => numbers.reduce((total, n) => total + n, 0);
  const lengthOf = (which: 'lost' | 'found') =>
    sum(
      finding.edges.filter((edge) => edge.is === which && counts(edge)).map(({ length }) => length),
    );
  say('edges lost', lengthOf('lost') / LENGTH);
  say('edges too hard', lengthOf('found') / LENGTH);
  say('turns flattened', sum(finding.flattened.filter(counts).map(({ share }) => share)) / FLAT);
  if (finding.proportions?.areOff && !excused.includes(PROPORTIONS_ID)) {
    const { model, study } = finding.proportions;
    const off = Object.keys(model).map((zone) => Math.abs(model[zone] - study[zone]));
    say('proportions off', Math.max(...off) / SHARE);
  }
  return [...largest]
    .map(([kind, size]) => ({ kind, size }))
    .sort((one, other) => other.size - one.size);
}
