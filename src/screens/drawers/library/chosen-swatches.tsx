import { Button } from '@/ui/button';
import { capital, count } from '@/ui/words';

interface Props {
  chosen: number;
  onSplit: () => void;
  onDelete: () => void;
  onNone: () => void;
}

/** What is done with the swatches that are chosen, along the foot of the screen. */
export function ChosenSwatches({ chosen, onSplit, onDelete, onNone }: Props) {
  return (
    <section
      aria-label="Chosen swatches"
      className="fixed inset-x-0 bottom-0 z-30 flex flex-wrap items-center gap-2 border-t border-ink bg-sheet px-4 py-2 sm:px-6"
    >
      <p role="status" className="mr-2 font-serif text-lg">
        {capital(count(chosen))} chosen
      </p>
      <Button onClick={onSplit}>Split off into a library</Button>
      <Button onClick={onDelete}>Delete</Button>
      <Button weight="quiet" className="ml-auto" onClick={onNone}>
        Choose none
      </Button>
    </section>
  );
}
