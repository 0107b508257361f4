interface Props {
  label: string;
  /** As of an input of type file. */
  accept: string;
  onFile: (file: File) => void;
}

/** A button that lets a file be chosen; the same file may be chosen again. */
export function FileButton({ label, accept, onFile }: Props) {
  return (
    <label className="inline-flex min-h-10 w-fit cursor-pointer items-center border border-ink bg-sheet px-3 text-[15px] font-semibold hover:bg-faint has-focus-visible:outline-2">
      {label}
      <input
        type="file"
        accept={accept}
        className="sr-only"
        onChange={({ target }) => {
          const file = target.files?.[0];
          target.value = '';
          if (file) onFile(file);
        }}
      />
    </label>
  );
}
