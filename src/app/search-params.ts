/** What Next.js gives a page of its address. */
export interface SearchParams {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

/** The query of a page's address, as a codec reads it. */
export async function queryOf(params: SearchParams['searchParams']): Promise<URLSearchParams> {
  const query = new URLSearchParams();
  for (const [key, value] of Object.entries(await params))
    for (const one of [value ?? []].flat()) query.append(key, one);
  return query;
}
