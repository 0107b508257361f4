import type { ButtonHTMLAttributes, Ref } from 'react';

type Weight = 'strong' | 'plain' | 'quiet';

const WEIGHTS: Record<Weight, string> = {
  strong: 'bg-ink text-sheet border border-ink font-semibold hover:opacity-85',
  plain: 'bg-sheet text-ink border border-ink font-semibold hover:bg-faint',
  quiet: 'text-ink border border-transparent hover:bg-faint',
};

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  weight?: Weight;
  ref?: Ref<HTMLButtonElement>;
}

/** At least 40 px in both directions: hands are dirty. */
export function Button({ weight = 'plain', className = '', type = 'button', ...rest }: Props) {
  return (
    <button
      type={type}
      className={`inline-flex min-h-10 min-w-10 items-center justify-center gap-2 px-3 text-[15px] leading-tight disabled:opacity-45 ${WEIGHTS[weight]} ${className}`}
      {...rest}
    />
  );
}
