/** Lies over a page while files are held over it. */
export function DropNotice({ children }: { children: string }) {
  return (
    <div className="pointer-events-none fixed inset-0 z-40 flex items-center justify-center border-8 border-ink bg-panel/85">
      <p className="font-serif text-4xl">{children}</p>
    </div>
  );
}
