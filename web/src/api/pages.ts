import { useInfiniteQuery } from '@tanstack/react-query'

type Page<T> = { items: T[]; next?: string }

/** A list that comes in parts: what has come of it so far, and how to get more. */
export function usePages<T>(
  queryKey: string[],
  ask: (page: string | undefined) => Promise<Page<T>>,
  enabled = true,
) {
  return useInfiniteQuery({
    queryKey,
    queryFn: ({ pageParam }) => ask(pageParam),
    initialPageParam: undefined as string | undefined,
    getNextPageParam: (last) => last.next,
    select: (found) => found.pages.flatMap((page) => page.items),
    enabled,
  })
}
