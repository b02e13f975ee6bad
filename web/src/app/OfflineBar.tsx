import { Button } from 'antd'
import { useMemo } from 'react'
import { useJudgeContext } from '../book/bookStore'
import { dueNow } from '../book/dueNow'
import { useOffline } from './offline'

/** Says when there is no network, and offers a newer version when nothing is on the fire. */
export function OfflineBar() {
  const { online, newer, takeNewer } = useOffline()
  const context = useJudgeContext()
  const running = useMemo(() => newer && dueNow(context).some((item) => item.running), [newer, context])
  if (online && !newer) return null
  return (
    <div className="offline-bar" role="status">
      {!online && <p>No network: everything works but the weather, and is kept on this device.</p>}
      {newer && (
        <p>
          {running
            ? 'A newer Ellop is here. It is offered again when what is running is done.'
            : 'A newer Ellop is here.'}
          {!running && <Button onClick={takeNewer}>Take it now</Button>}
        </p>
      )}
    </div>
  )
}
