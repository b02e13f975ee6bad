import {
  severityWord,
  couldBe,
  findTaxon,
  commonName,
  foodReach,
  formatDay,
  kitchenAt,
  type JudgeContext,
  type LotState,
} from '@ellop/core'
import { Link } from 'react-router'
import { HoldButton } from '../controls/HoldButton'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'
import { formatMass } from '../units/units'

const NAMED_AT_MOST = 8

/** Of food that is stopped: what it may have been, what was made of it and by whom it was eaten, and throwing it away. */
export function Stopped({ lot, context }: { lot: LotState; context: JudgeContext }) {
  const { write, otherError } = useNote()
  const harmful = couldBe(lot, context)
  const { packs, servings, inHand, stock } = foodReach(lot, context.book)
  const timeZone = kitchenAt(context.book.house, context.now)?.timeZone ?? 'UTC'
  const nameOf = (id: string) => context.book.house.eaters[id]?.name ?? id
  return (
    <>
      {harmful.length > 0 && (
        <p className="must">
          What was seen also fits:{' '}
          {harmful
            .slice(0, NAMED_AT_MOST)
            .map(({ name, severity }) => {
              const taxon = findTaxon(context.catalogue, name)
              return `${taxon === undefined ? name : commonName(taxon)} (${severityWord(severity)})`
            })
            .join(', ')}
          {harmful.length > NAMED_AT_MOST && ` and ${harmful.length - NAMED_AT_MOST} more`}.
        </p>
      )}
      {packs.length + servings.length + inHand.length + stock.length > 0 && (
        <ul className="reach">
          {inHand.map(({ lot: id, code, mass_g }) => (
            <li key={id}>
              In hand: <Link to={`/lot/${id}`}>lot {code}</Link>, {formatMass(mass_g)}.
            </li>
          ))}
          {packs.map(({ pack, mass_g }) => (
            <li key={pack}>
              In the larder: <Link to="/larder">pack {pack}</Link>, {formatMass(mass_g)}. DO NOT EAT.
            </li>
          ))}
          {servings.map(({ entry, dish, at, eaters }) => (
            <li key={entry}>
              Eaten {formatDay(at, timeZone)} ({dish}): {eaters.map(nameOf).join(', ')}. Ask each how they feel.
            </li>
          ))}
          {stock.map(({ at, mass_g }) => (
            <li key={at}>
              {formatMass(mass_g)} of trimmings went to stock {formatDay(at, timeZone)}. Throw the stock away.
            </li>
          ))}
        </ul>
      )}
      <div className="acts">
        {servings.length > 0 && (
          <Link className="big-link" to="/ill">
            If somebody is ill
          </Link>
        )}
        {lot.mass_g > 0 && (
          <HoldButton
            tone="stop"
            onHold={() =>
              void write(
                { type: 'thrown-away', lot: lot.id, pack: null, mass_g: lot.mass_g, why: 'not food' },
                'Thrown away',
              )
            }
          >
            Press and hold to throw away {formatMass(lot.mass_g)}
          </HoldButton>
        )}
      </div>
      <Refusal sentence={otherError([])} />
    </>
  )
}
