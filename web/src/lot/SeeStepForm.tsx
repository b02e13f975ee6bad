import { lotUse, plainWords, protocolOf, type JudgeContext, type LotState, type NowAct } from '@ellop/core'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'
import { WayChoice } from './WayChoice'
import { Refusal } from '../controls/Refusal'

/** A step whose limit is a sign: it is done when the sign was seen on all of it. */
export function SeeStepForm({
  lot,
  context,
  act,
}: {
  lot: LotState
  context: JudgeContext
  act: Extract<NowAct, { kind: 'see-step' }>
}) {
  const { write, otherError } = useNote()
  const use = lotUse(lot, context.catalogue)
  const protocol = use === undefined ? undefined : protocolOf(lot, use)
  const op = protocol?.steps[act.step]?.op ?? 'step'
  const done = async () => {
    const begun = await write(
      { type: 'step-begun', lot: lot.id, protocol: protocol?.name ?? '', step: act.step, load: 1, mass_g: act.left_g },
      '',
    )
    if (begun.ok)
      await write(
        {
          type: 'step-done',
          lot: lot.id,
          begun: begun.entry.id,
          outcome: 'done',
          minutes: 0,
          temp_C: null,
          backToBoil_s: null,
          driedTo_g: null,
          checked: true,
          water: null,
        },
        'Seen and noted',
      )
  }
  return (
    <div className="form">
      <WayChoice lot={lot} context={context} />
      <Refusal sentence={otherError([])} />
      <div className="acts">
        <HoldButton onHold={() => void done()}>Press and hold: {plainWords(op)} done, every piece checked</HoldButton>
      </div>
    </div>
  )
}
