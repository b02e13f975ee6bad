import type { Part, Taxon } from '@ellop/core'
import { Spin } from 'antd'
import { lazy, useState } from 'react'
import '../app/season.css'
import { OnDemand } from '../controls/OnDemand'

const StandFuture = lazy(() => import('./StandFuture'))

/** Why so much may be taken and no more: opened when somebody wants to know. */
export function StandReason({ taxon, part, title }: { taxon: Taxon; part: Part; title: string }) {
  const [open, setOpen] = useState(false)
  return (
    <details className="stand-reason" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>{title}</summary>
      {open && (
        <OnDemand waiting={<Spin />}>
          <StandFuture taxon={taxon} part={part} />
        </OnDemand>
      )}
    </details>
  )
}
