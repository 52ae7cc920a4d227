import {
  createContext,
  useContext,
  useEffect,
  useLayoutEffect,
  useRef,
  type ReactNode,
} from 'react'

type Act = () => void
type Keys = {
  /** The last to ask for a key has it. */
  add: (key: string, act: Act) => () => void
}

const Context = createContext<Keys | undefined>(undefined)

const isTyping = (event: KeyboardEvent) =>
  event.target instanceof HTMLElement &&
  event.target.matches('input:not([type=checkbox], [type=radio]), textarea, select')

/** Hears single keys for all screens: the one listener there is. */
export function KeysProvider({ children }: { children: ReactNode }) {
  const acts = useRef(new Map<string, Act[]>())
  const keys = useRef<Keys>({
    add: (key, act) => {
      acts.current.set(key, [...(acts.current.get(key) ?? []), act])
      return () =>
        acts.current.set(
          key,
          (acts.current.get(key) ?? []).filter((one) => one !== act),
        )
    },
  })
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return
      if (isTyping(event)) return
      const act = acts.current.get(event.key)?.at(-1)
      if (!act) return
      event.preventDefault()
      act()
    }
    document.addEventListener('keydown', pressed)
    return () => document.removeEventListener('keydown', pressed)
  }, [])
  return <Context value={keys.current}>{children}</Context>
}

/** Calls back on a single key, unless somebody is typing or holds a modifier. */
export function useKey(key: string, act: Act): void {
  const keys = useContext(Context)
  const latest = useRef(act)
  // with the picture, not after it: who sees that there is something to undo may press the key at once
  useLayoutEffect(() => {
    latest.current = act
  })
  useEffect(() => keys?.add(key, () => latest.current()), [keys, key])
}
