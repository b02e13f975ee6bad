import { Button } from 'antd'
import { Suspense, useEffect, useRef, type ReactNode } from 'react'
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary'

/**
 * A part of the screen that is fetched when it is wanted. If it does not come, or has a fault, that is told in its place and
 * all the rest goes on: clocks, the due list, the way to help.
 */
export function OnDemand({
  waiting = null,
  place = '',
  quiet = false,
  children,
}: {
  waiting?: ReactNode
  /** Where one stands: another place is tried anew. */
  place?: string
  /** Nothing stands in its place: nobody asked for it. */
  quiet?: boolean
  children: ReactNode
}) {
  return (
    // Another place waits on its own: else the one that was left would stay, as though nothing had been touched.
    <ErrorBoundary key={place} FallbackComponent={quiet ? Nothing : NotShown}>
      <Suspense fallback={waiting}>{children}</Suspense>
    </ErrorBoundary>
  )
}

const Nothing = () => null

/** What browsers say of a script that did not come. */
const NOT_COME = /import|module|fetch|preload/i

function NotShown({ error }: FallbackProps) {
  const told = useRef<HTMLElement>(null)
  useEffect(() => {
    told.current?.scrollIntoView({ block: 'nearest' })
  }, [])
  const message = error instanceof Error ? error.message : String(error)
  return (
    <section className="empty not-shown" role="alert" ref={told}>
      <h2>This part could not be shown</h2>
      <p>
        {NOT_COME.test(message)
          ? 'It could not be loaded: the server or the network does not answer.'
          : `The program has a fault here (${message}).`}{' '}
        What you noted is kept. A gate that you cannot see counts as closed.
      </p>
      {/* What failed to load once is not asked for again until the page is opened anew. */}
      <Button type="primary" size="large" onClick={() => window.location.reload()}>
        Try again
      </Button>
    </section>
  )
}
