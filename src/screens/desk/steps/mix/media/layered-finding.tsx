import { Finding } from '@/ui/panel-parts';

interface Props {
  swatches: readonly unknown[];
  /** What was found, in a sentence; null while it is looked for. */
  found: string | null;
  /** Said while it is looked for. */
  seeking: string;
  isStale: boolean;
}

/** What a medium makes of the palette, or that there is none to make anything of. */
export function LayeredFinding({ swatches, found, seeking, isStale }: Props) {
  if (swatches.length === 0)
    return <Finding>No colours to lay yet: extract some, or pick them.</Finding>;
  return <Finding stale={isStale || found === null}>{found ?? seeking}</Finding>;
}
