import { useEffect, useState } from 'react'

/** How wide a box is on screen, in pixels; follows it. */
export function useWidth(box: React.RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(900)
  useEffect(() => {
    if (!box.current) return
    const observer = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width))
    observer.observe(box.current)
    return () => observer.disconnect()
  }, [box])
  return width
}
