interface Props {
  label: string;
  /** As of an input of type file. */
  accept: string;
  onFile: (file: File) => void;
}

/** A button that lets a file be chosen; the same file may be chosen again. */
export function FileButton({ onFile, ...rest }: Props) {
  return <FilesButton {...rest} multiple={false} onFiles={([file]) => onFile(file)} />;
}

/** The same for several at once. */
export function FilesButton({
  label,
  accept,
  multiple = true,
  onFiles,
}: Omit<Props, 'onFile'> & { multiple?: boolean; onFiles: (files: File[]) => void }) {
  return (
    <label className="inline-flex min-h-10 w-fit cursor-pointer items-center border border-ink bg-sheet px-3 text-[15px] font-semibold hover:bg-faint has-focus-visible:outline-2">
      {label}
      <input
        type="file"
        accept={accept}
        multiple={multiple}
        className="sr-only"
        onChange={({ target }) => {
          const files = [...(target.files ?? [])];
          target.value = '';
          if (files.length > 0) onFiles(files);
        }}
      />
    </label>
  );
}
