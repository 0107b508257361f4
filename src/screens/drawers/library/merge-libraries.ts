import { libraryContentSchema, type LibraryContent } from '@/contracts/library';
import { withColoursOfChanges } from '@/study/colour-edits';
import { editLibrary } from '@/study/library';
import { mergeOf, type Merge } from '@/ui/sync/merge';

const mergeFields = mergeOf(libraryContentSchema);

/** How the libraries of two windows are merged: a colour and its change may come of either. */
export const mergeLibraries: Merge<LibraryContent> = (base, mine, theirs) => {
  const { value, conflicts } = mergeFields(base, mine, theirs);
  return { value: editLibrary(value, withColoursOfChanges), conflicts };
};
