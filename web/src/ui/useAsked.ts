import { useSearchParams } from 'react-router'

/** What a screen was asked, kept in the address: a reload and a link ask the same. An empty answer leaves it. */
export function useAsked(): [URLSearchParams, (part: Record<string, string>) => void] {
  const [search, setSearch] = useSearchParams()
  const set = (part: Record<string, string>) =>
    setSearch(
      (now) => {
        for (const [key, value] of Object.entries(part))
          if (value) now.set(key, value)
          else now.delete(key)
        return now
      },
      { replace: true },
    )
  return [search, set]
}
