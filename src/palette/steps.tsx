/** Colours side by side, as they would be built. */
export function Steps({ colours }: { colours: readonly string[] }) {
  return (
    <div className="mb-3 flex h-10" role="img" aria-label={`Colours: ${colours.join(', ')}`}>
      {colours.map((hex, i) => (
        <span key={i} className="grow" style={{ background: hex }} />
      ))}
    </div>
  );
}
