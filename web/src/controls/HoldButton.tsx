import { useEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react'

const HOLD_ms = 700

/**
 * A button for what counts for safety: it acts only when held, with a finger, a mouse or the space or enter key, so that a
 * splash or a slip does nothing. Its face fills while it is held.
 */
export function HoldButton({
  children,
  onHold,
  disabled = false,
  tone = 'go',
}: {
  children: ReactNode
  onHold: () => void
  disabled?: boolean
  tone?: 'go' | 'stop' | 'early'
}) {
  const [holding, setHolding] = useState(false)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  useEffect(() => () => clearTimeout(timer.current), [])
  const begin = () => {
    if (disabled || holding) return
    setHolding(true)
    timer.current = setTimeout(() => {
      setHolding(false)
      onHold()
    }, HOLD_ms)
  }
  const end = () => {
    clearTimeout(timer.current)
    setHolding(false)
  }
  const onKey = (event: KeyboardEvent, act: () => void) => {
    if (event.key !== ' ' && event.key !== 'Enter') return
    event.preventDefault()
    if (!event.repeat) act()
  }
  return (
    <button
      type="button"
      className={`hold ${tone} ${holding ? 'holding' : ''}`}
      disabled={disabled}
      onPointerDown={begin}
      onPointerUp={end}
      onPointerLeave={end}
      onPointerCancel={end}
      onContextMenu={(event) => event.preventDefault()}
      onKeyDown={(event) => onKey(event, begin)}
      onKeyUp={(event) => onKey(event, end)}
      onBlur={end}
    >
      <span className="hold-fill" aria-hidden="true" />
      <span className="hold-face">{children}</span>
    </button>
  )
}
