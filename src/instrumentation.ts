/** Opens the database before the first request, and closes it cleanly at the end. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { openForServing } = await import('./server/db/serving');
  await openForServing();
}
