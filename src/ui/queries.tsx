'use client';

import {
  QueryCache,
  QueryClient,
  QueryClientProvider,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { useCallback, useLayoutEffect, useState, type ReactNode } from 'react';
import type { AnswerOf, Endpoint, Given } from '@/contracts/endpoints/endpoint';
import { call } from './api';
import { showError } from './notices';

/** Holds what was fetched of lists, searches and counts; what changes them says so. */
export function QueryProvider({ children }: { children: ReactNode }) {
  const [client] = useState(
    () =>
      new QueryClient({
        queryCache: new QueryCache({ onError: showError }),
        defaultOptions: {
          queries: {
            retry: false,
            staleTime: Infinity,
            gcTime: Infinity,
            refetchOnWindowFocus: false,
          },
        },
      }),
  );
  return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
}

/** What is asked anew each time it is wanted. */
export const NOT_CACHED = { staleTime: 0, gcTime: 0 } as const;

export interface Query<T> {
  queryKey: readonly unknown[];
  queryFn: (context: { signal: AbortSignal }) => Promise<T>;
}

/** An endpoint's answer as a query, known by its method, path and what is given. */
export function queryFor<E extends Endpoint>(endpoint: E, given: Given<E>): Query<AnswerOf<E>> {
  return {
    queryKey: [...keyOf(endpoint), given],
    queryFn: ({ signal }) => call(endpoint, given, { signal }),
  };
}

export function keyOf({ method, path }: Endpoint) {
  return [`${method} ${path}`] as const;
}

/** Payloads that a page has brought: going back to a page brings the same one again, which may be out of date. */
const taken = new WeakSet<object>();

/** What an endpoint has, begun with what the page brought; fetched anew when it is said to have changed. */
export function useStored<E extends Endpoint, T extends AnswerOf<E> & object>(
  endpoint: E,
  given: Given<E>,
  brought: T,
): T {
  const client = useQueryClient();
  const query = queryFor(endpoint, given);
  const key = JSON.stringify(query.queryKey);
  useLayoutEffect(() => {
    const queryKey = JSON.parse(key) as readonly unknown[];
    if (taken.has(brought)) {
      void client.invalidateQueries({ queryKey });
      return;
    }
    taken.add(brought);
    client.setQueryData(queryKey, brought);
  }, [client, key, brought]);
  const { data } = useQuery({ ...query, initialData: brought as AnswerOf<E> & object });
  return data as T;
}

/** What an endpoint has, once it is fetched: anew each time it is wanted. */
export function useFetched<E extends Endpoint>(
  endpoint: E,
  given: Given<E>,
  wanted = true,
): { data: AnswerOf<E> | undefined; error: Error | null } {
  const { data, error } = useQuery({
    ...queryFor(endpoint, given),
    enabled: wanted,
    ...NOT_CACHED,
  });
  return { data: data as AnswerOf<E> | undefined, error };
}

/** Says that what some endpoints answer has changed: what is shown of it is fetched anew. */
export function useChanged(...endpoints: readonly Endpoint[]): () => Promise<void> {
  const client = useQueryClient();
  const keys = JSON.stringify(endpoints.map(keyOf));
  return useCallback(async () => {
    const all = JSON.parse(keys) as (readonly string[])[];
    await Promise.all(all.map((queryKey) => client.invalidateQueries({ queryKey })));
  }, [client, keys]);
}
