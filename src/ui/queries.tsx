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
        queryCache: new QueryCache({
          onError: (error, query) => query.meta?.isQuiet || showError(error),
        }),
        defaultOptions: {
          queries: {
            // The server is on this machine or near it, and answers without a network.
            networkMode: 'always',
            retry: false,
            // Shown until it is said to have changed; nothing outlives the page that shows it.
            staleTime: Infinity,
            gcTime: 0,
            refetchOnWindowFocus: false,
          },
        },
      }),
  );
  return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
}

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

/** What an endpoint has, once it is fetched. */
export function useFetched<E extends Endpoint>(
  endpoint: E,
  given: Given<E>,
): { data: AnswerOf<E> | undefined; error: Error | null } {
  return useQuery(queryFor(endpoint, given)) as {
    data: AnswerOf<E> | undefined;
    error: Error | null;
  };
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
