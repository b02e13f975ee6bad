import type { HelpNumbers } from '@ellop/core'

/** What to do before anything else; it needs no book, and no number that was entered. */
export function CallNow({ numbers }: { numbers?: HelpNumbers | null | undefined }) {
  return (
    <section className="ill-first">
      <h1>If somebody is ill</h1>
      <p className="ill-call">Call now. Do not wait for it to pass, and do not make anybody vomit.</p>
      <dl className="ill-numbers">
        {(numbers?.emergency ?? '') === '' && (
          <div>
            <dt>Emergency</dt>
            <dd>
              <em>No number saved. Dial your country’s emergency number now.</em>
            </dd>
          </div>
        )}
        <CallNumber title="Emergency" value={numbers?.emergency} />
        <CallNumber title="Poison centre" value={numbers?.poisonCentre} />
        <CallNumber title="Doctor" value={numbers?.doctor} />
      </dl>
      <p className="ill-keep">
        <strong>Keep a sample</strong> of everything: leftovers, trimmings, what is in the bin, a picture of the place.
        Tell the doctor or poison centre: the scientific name, how much was eaten, and when.
      </p>
      <p className="ill-name">
        Say which of these there are: vomiting or diarrhoea and how long after eating; burning or numb mouth; trouble
        breathing or swallowing; slow, fast or uneven heartbeat; wide pupils, seeing badly, confusion; fits; no urine;
        yellow skin. Some poisons show only after a day or more. Feeling better does not mean the danger is over.
      </p>
    </section>
  )
}

/** A number that was saved; of one that was not, nothing: that of the country’s emergency service stands above. */
function CallNumber({ title, value = '' }: { title: string; value: string | undefined }) {
  if (value === '') return null
  return (
    <div>
      <dt>{title}</dt>
      <dd>
        <a href={`tel:${value}`}>{value}</a>
      </dd>
    </div>
  )
}
