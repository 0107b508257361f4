/** Whether a key press, or what is pasted, belongs to what has the focus: a field, a dialog or a menu. */
export function typing(event: Event): boolean {
  const target = event.target as HTMLElement | null;
  return Boolean(
    target?.closest('input, textarea, select, [contenteditable], [role="dialog"], [role="menu"]'),
  );
}
