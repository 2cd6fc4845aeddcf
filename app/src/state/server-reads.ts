import {
  QueryClient,
  useInfiniteQuery,
  useQuery,
  type QueryKey,
  type UseQueryOptions,
} from '@tanstack/react-query';
import { ApiProblem, OFFLINE } from './api';

/** Why something could not be read: a code that the screen has words for, or the server's own sentence. */
export type Trouble = 'offline' | { readonly sentence: string; readonly status: number };

/** Something that is read from the server for a screen. */
export interface ServerRead<T> {
  readonly value: T | undefined;
  readonly trouble: Trouble | undefined;
  readonly reload: () => void;
}

/**
 * Everything that screens read from the server goes through here: asked once however many want it, never an older answer over a
 * newer one, and one place that turns a problem into words. What a screen showed before is not shown again when it opens anew: it
 * may not hold any more.
 */
export const serverReads = new QueryClient({
  defaultOptions: {
    queries: {
      // The device's word on whether there is a network is not to be trusted; the server's answer is.
      networkMode: 'always',
      retry: false,
      gcTime: 0,
      refetchOnWindowFocus: false,
      // A mistake of ours is thrown; a problem that the server or the network has is told.
      throwOnError: (error) => !(error instanceof ApiProblem),
    },
  },
});

/** What never changes once it was read: a sealed report, a version of the content. */
export const FOR_EVER = { staleTime: Infinity, gcTime: Infinity } as const;

export function troubleOf(error: unknown): Trouble | undefined {
  if (!(error instanceof ApiProblem)) return undefined;
  const { code, detail: sentence, status } = error;
  return code === OFFLINE ? 'offline' : { sentence, status };
}

type Options = Pick<
  UseQueryOptions,
  'enabled' | 'staleTime' | 'gcTime' | 'refetchInterval' | 'refetchOnReconnect'
>;

/** Reads when the screen opens and whenever it is asked to. */
export function useServerRead<T>(
  key: QueryKey,
  read: () => Promise<T>,
  options: Options = {},
): ServerRead<T> {
  const { data, error, refetch } = useQuery<T>(
    { ...(options as object), queryKey: key, queryFn: read },
    serverReads,
  );
  return { value: data, trouble: troubleOf(error), reload: () => void refetch() };
}

export interface ServerPages<Page> extends Omit<ServerRead<never>, 'value'> {
  readonly pages: readonly Page[] | undefined;
  readonly more: boolean;
  readonly loadMore: () => void;
}

/**
 * Reads a list page by page.
 * @param nextOf where the page behind this one begins; undefined at the end
 */
export function useServerPages<Page, Cursor>(
  key: QueryKey,
  read: (from: Cursor | undefined) => Promise<Page>,
  nextOf: (last: Page) => Cursor | undefined,
): ServerPages<Page> {
  const { data, error, refetch, hasNextPage, fetchNextPage } = useInfiniteQuery(
    {
      queryKey: key,
      queryFn: ({ pageParam }) => read(pageParam as Cursor | undefined),
      initialPageParam: undefined as Cursor | undefined,
      getNextPageParam: nextOf,
    },
    serverReads,
  );
  return {
    pages: data?.pages,
    trouble: troubleOf(error),
    more: hasNextPage,
    loadMore: () => void fetchNextPage(),
    reload: () => void refetch(),
  };
}
