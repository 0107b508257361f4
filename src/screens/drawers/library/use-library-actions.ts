'use client';

import { cutText } from '@/core/text';
import { useRouter } from 'next/navigation';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Library, LibraryContent, Swatch } from '@/contracts/library';
import { call } from '@/ui/api';
import { offerUndo, say, showError } from '@/ui/notices';
import type { DocumentState } from '@/ui/sync/document-store';
import { capital, several } from '@/ui/words';

/** What is done with a library and with those of its swatches that are chosen; all of it can be undone. */
export function useLibraryActions(
  library: Library,
  { history, change }: DocumentState<LibraryContent>,
  chosen: ReadonlySet<string>,
  chooseNone: () => void,
) {
  const router = useRouter();
  const content = history.present;
  const setSwatches = (edit: (swatches: Swatch[]) => Swatch[], key?: string) =>
    change((was) => ({ ...was, swatches: edit(was.swatches) }), key);
  const removeSwatch = (swatch: Swatch, at: number) => {
    setSwatches((all) => all.filter(({ id }) => id !== swatch.id));
    offerUndo(`“${swatch.name}” was deleted.`, () =>
      setSwatches((all) =>
        all.some(({ id }) => id === swatch.id) ? all : all.toSpliced(at, 0, swatch),
      ),
    );
  };
  const removeLibrary = async () => {
    try {
      await call(endpoints.deleteLibrary, { id: library.id });
      router.push('/drawers');
      offerUndo(`“${content.name}” was put into the bin.`, async () => {
        await call(endpoints.restoreLibrary, { id: library.id });
        router.refresh();
      });
    } catch (error) {
      showError(error);
    }
  };
  const duplicate = async () => {
    try {
      const made = await call(endpoints.duplicateLibrary, { id: library.id });
      router.push(`/drawers/${made.id}`);
      say('This is the copy.');
    } catch (error) {
      showError(error);
    }
  };
  /** What is chosen becomes a library of its own, and leaves this one. */
  const splitOff = async () => {
    const parted = content.swatches.filter(({ id }) => chosen.has(id));
    const name = `${cutText(content.name, 180)}, part`;
    try {
      const made = await call(endpoints.createLibrary, {
        body: {
          name,
          note: '',
          tags: content.tags,
          swatches: parted,
          studyId: library.studyId,
        },
      });
      setSwatches((all) => all.filter(({ id }) => !chosen.has(id)));
      chooseNone();
      offerUndo(
        `${capital(several(parted.length, 'swatch', 'swatches'))} went to “${name}”.`,
        async () => {
          setSwatches((all) => [
            ...all,
            ...parted.filter(({ id }) => all.every((one) => one.id !== id)),
          ]);
          await call(endpoints.deleteLibrary, { id: made.id });
        },
      );
    } catch (error) {
      showError(error);
    }
  };
  const removeChosen = () => {
    const before = content.swatches;
    setSwatches((all) => all.filter(({ id }) => !chosen.has(id)));
    offerUndo(`${capital(several(chosen.size, 'swatch was', 'swatches were'))} deleted.`, () =>
      setSwatches(() => before),
    );
    chooseNone();
  };

  return { setSwatches, removeSwatch, removeLibrary, duplicate, splitOff, removeChosen };
}
