import type { StudyDocument } from '@/contracts/study';
import { usedColours, type VariantKind } from '@/study/use-edits';
import { capital, list } from '@/ui/words';

const MAX_NAME = 120;

/** A name for what is tried, other than those that there are: "Dusk", "Dusk 2". */
export function variantName(document: StudyDocument, kind: VariantKind): string {
  const plain = capital(plainName(document, kind)).slice(0, MAX_NAME - 4);
  const taken = new Set(document.use.variants.map(({ name }) => name));
  if (!taken.has(plain)) return plain;
  let n = 2;
  while (taken.has(`${plain} ${n}`)) n++;
  return `${plain} ${n}`;
}

function plainName(document: StudyDocument, kind: VariantKind): string {
  const { mood, key, transfer } = document.use;
  switch (kind) {
    case 'transfer': {
      const from = list([...new Set(usedColours(document).map((colour) => colour.from))]);
      return `${from || 'own colours'}, ${transfer.mode === 'held' ? transfer.way : 'palette only'}`;
    }
    case 'mood':
      return mood.mood;
    case 'what if':
      return 'what if';
    case 'key':
      return `${key.scheme}, ${Math.round(key.degree * 100)} %`;
  }
}
