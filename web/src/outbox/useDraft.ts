import { useCallback, useState } from 'react'

/** State that survives a reload: what is half filled in stays until it is sent or cleared. */
export function useDraft<T>(key: string, start: T): [T, (next: T) => void, () => void] {
  const [value, setValue] = useState<T>(() => {
    const kept = localStorage.getItem(key)
    return kept === null ? start : (JSON.parse(kept) as T)
  })
  const set = useCallback(
    (next: T) => {
      try {
        localStorage.setItem(key, JSON.stringify(next))
      } catch {
        // a file too large for the device's store stays in this page
      }
      setValue(next)
    },
    [key],
  )
  const clear = useCallback(() => {
    localStorage.removeItem(key)
    setValue(start)
  }, [key, start])
  return [value, set, clear]
}
