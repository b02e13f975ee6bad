import { formatDay, type PackView } from '@ellop/core'
import { formatAmount, formatTemp, inUnits } from '../units/units'

/** The label of a pack, as it prints: what, from where, what was done, what is still to do, and until when. */
export function PackLabel({ view, timeZone }: { view: PackView; timeZone: string }) {
  const { pack, notYetFood } = view
  return (
    <div className={notYetFood ? 'label not-yet' : 'label'}>
      {notYetFood && <p className="label-warn">NOT YET FOOD</p>}
      <p className="label-name">{view.label}</p>
      <p className="label-latin">{view.scientificName}</p>
      <dl>
        <div>
          <dt>Lot</dt>
          <dd>
            {view.code} · {view.patch}
          </dd>
        </div>
        <div>
          <dt>Packed</dt>
          <dd>
            {formatDay(pack.at, timeZone, true)} · {formatAmount(pack.lotThen, pack.packed_g / pack.containers)} each
          </dd>
        </div>
        <div>
          <dt>Done</dt>
          <dd>{view.done}</dd>
        </div>
        {notYetFood && (
          <div>
            <dt>Still due</dt>
            <dd>{inUnits(view.due.join(' '))}</dd>
          </div>
        )}
        <div>
          <dt>Keep</dt>
          <dd>
            {pack.store}
            {pack.storeTemp_C !== null && `, ${formatTemp(pack.storeTemp_C)} when packed`}
          </dd>
        </div>
        {view.opened !== null && (
          <div>
            <dt>Opened</dt>
            <dd>{formatDay(view.opened, timeZone, true)}</dd>
          </div>
        )}
        {view.bestBefore !== null && (
          <div>
            <dt>Best until</dt>
            <dd>{formatDay(view.bestBefore, timeZone, true)}</dd>
          </div>
        )}
      </dl>
      <p className="label-until">
        {view.discardBy === null
          ? 'Throw away'
          : `Use before ${formatDay(view.discardBy, timeZone, true)}, then throw away`}
      </p>
      <p className="label-small">Gas, slime, mould or an off smell: throw it away untasted.</p>
    </div>
  )
}
