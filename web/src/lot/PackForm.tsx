import {
  formatDay,
  keepGate,
  kitchenAt,
  lotUse,
  nextPackId,
  packFreshness,
  storedAs,
  storeRule,
  type JudgeContext,
  type LotState,
  type PackState,
  type Store,
} from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { v7 } from 'uuid'
import { Link, useNavigate } from 'react-router'
import { Choice } from '../controls/Choice'
import { NumberField, readField } from '../controls/Field'
import { useNote } from '../controls/useNote'
import { formatMass, inUnits } from '../units/units'

const FIELDS = ['mass_g', 'storeTemp_C', 'containers']
const STORE_WORDS: Readonly<Record<Store, string>> = {
  frozen: 'freezer',
  chilled: 'fridge',
  dried: 'dry jar',
  oiled: 'oil, cold',
  salted: 'salt',
  soured: 'brine',
  sugared: 'syrup or jam',
}

/** The pack that the lot would be now, to tell how long it keeps. */
function packOf(lot: LotState, store: Store, at: string): PackState {
  const { mass_g } = lot
  return {
    id: 'new',
    at,
    store,
    packed_g: mass_g,
    mass_g,
    containers: 1,
    storeTemp_C: null,
    readings: [],
    openedAt: null,
    lotThen: lot,
  }
}

/** Serve it at the table, or pack it: a store that the record allows, its measured limit, its discard-by moment. */
export function PackForm({
  lot,
  context,
  notYetFood = false,
}: {
  lot: LotState
  context: JudgeContext
  /** Something is still due before anybody eats of it. */
  notYetFood?: boolean
}) {
  const { write, errorOf, otherError } = useNote()
  const navigate = useNavigate()
  const use = lotUse(lot, context.catalogue)
  const as = storedAs(lot, context)
  const later = notYetFood || as === 'raw'
  const stores = use?.stores.filter(({ after }) => after === as).map(({ store }) => store) ?? []
  const [store, setStore] = useState<Store | undefined>(stores[0])
  const [mass, setMass] = useState(String(Math.round(lot.mass_g)))
  const [temp, setTemp] = useState('')
  const [containers, setContainers] = useState('1')
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({})
  const rule = use === undefined || store === undefined ? undefined : storeRule(use, store, as)
  const until =
    rule === undefined || store === undefined ? null : packFreshness(packOf(lot, store, context.now), context).until
  const needsTemp = rule?.limit.measure === 'store-temperature'
  const timeZone = kitchenAt(context.book.house, context.now)?.timeZone ?? 'UTC'
  const ready = keepGate(lot, context, undefined).state !== 'closed'
  const submit = async () => {
    const read = {
      mass_g: readField(mass),
      storeTemp_C: needsTemp ? readField(temp) : { value: null },
      containers: readField(containers),
    }
    setFaults(
      Object.fromEntries(
        Object.entries(read).flatMap(([field, each]) => ('error' in each ? [[field, each.error]] : [])),
      ),
    )
    if (
      !('value' in read.mass_g) ||
      !('value' in read.storeTemp_C) ||
      !('value' in read.containers) ||
      store === undefined
    )
      return
    const pack = nextPackId(lot, v7())
    const noted = await write(
      {
        type: 'packed',
        lot: lot.id,
        pack,
        store,
        mass_g: read.mass_g.value,
        containers: read.containers.value,
        storeTemp_C: read.storeTemp_C.value,
      },
      'Packed',
    )
    if (noted.ok) void navigate(`/larder?label=${pack}`)
  }
  return (
    <div className="form two">
      {!later && (
        <div className="wide">
          <Link className="big-link" to={`/table?lot=${lot.id}`}>
            To the table: serve it
          </Link>
        </div>
      )}
      <div className="wide">
        <Choice
          label={later ? 'Keep it as it is: NOT YET FOOD' : 'Or pack some'}
          value={store}
          onChange={setStore}
          options={stores.map((each) => ({ value: each, label: STORE_WORDS[each] }))}
        />
      </div>
      <NumberField
        label="Pack"
        unit="g"
        value={mass}
        onChange={setMass}
        hint={`${formatMass(lot.mass_g)} in hand`}
        error={faults['mass_g'] ?? errorOf('mass_g')}
      />
      <NumberField
        label="In"
        unit="containers"
        value={containers}
        onChange={setContainers}
        error={faults['containers'] ?? errorOf('containers')}
      />
      {needsTemp && (
        <NumberField
          label="The store is at"
          unit="°C"
          value={temp}
          onChange={setTemp}
          hint="read it off a thermometer"
          error={faults['storeTemp_C'] ?? errorOf('storeTemp_C')}
        />
      )}
      {rule !== undefined && (
        <p className="told wide">
          {inUnits(rule.says)}{' '}
          {until !== null &&
            `Use before ${formatDay(until, timeZone, true)}, then throw away: counted from its making.`}
        </p>
      )}
      {(otherError(FIELDS) ?? errorOf('gates')) !== undefined && (
        <p className="refusal wide" role="alert">
          {otherError(FIELDS)}
        </p>
      )}
      <Button
        type={as === 'raw' ? 'default' : 'primary'}
        size="large"
        disabled={!ready || store === undefined}
        onClick={() => void submit()}
      >
        Pack and label it
      </Button>
    </div>
  )
}
