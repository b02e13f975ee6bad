const SOON_ms = 300

/** Does something when nothing else is to be done, at the latest after a while; not every browser says when that is. Gives how to call it off. */
export function whenIdle(work: () => void, within_ms: number): () => void {
  if (!('requestIdleCallback' in globalThis)) {
    const timer = setTimeout(work, Math.min(SOON_ms, within_ms))
    return () => clearTimeout(timer)
  }
  const asked = requestIdleCallback(work, { timeout: within_ms })
  return () => cancelIdleCallback(asked)
}
