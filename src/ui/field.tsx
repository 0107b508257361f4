import type { InputHTMLAttributes, Ref, TextareaHTMLAttributes } from 'react';

const BOX = 'w-full border border-line bg-sheet px-2.5 text-[15px] text-ink placeholder:text-soft';

interface Named {
  label: string;
  /** What is wrong with it, if anything. */
  error?: string;
}

export function TextField({
  label,
  error,
  ref,
  className = '',
  ...rest
}: Named & InputHTMLAttributes<HTMLInputElement> & { ref?: Ref<HTMLInputElement> }) {
  return (
    <label className="flex flex-col gap-0.5">
      <span className="text-sm text-soft">{label}</span>
      <input
        ref={ref}
        className={`${BOX} h-10 ${className}`}
        aria-invalid={error ? true : undefined}
        {...rest}
      />
      {error && <span className="text-sm font-semibold">{error}</span>}
    </label>
  );
}

export function NoteField({
  label,
  error,
  ref,
  className = '',
  ...rest
}: Named & TextareaHTMLAttributes<HTMLTextAreaElement> & { ref?: Ref<HTMLTextAreaElement> }) {
  return (
    <label className="flex flex-col gap-0.5">
      <span className="text-sm text-soft">{label}</span>
      <textarea
        ref={ref}
        className={`${BOX} min-h-16 py-2 ${className}`}
        aria-invalid={error ? true : undefined}
        {...rest}
      />
      {error && <span className="text-sm font-semibold">{error}</span>}
    </label>
  );
}
