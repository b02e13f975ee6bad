import type { HelpNumbers } from '@ellop/core'

/** What to do before anything else; it needs no book, and no number that was entered. */
export function CallNow({ numbers }: { numbers?: HelpNumbers | null | undefined }) {
  return (
    <section className="ill-first">
      <h1>If somebody is ill</h1>
      <p className="ill-call">Call now. Do not wait for it to pass, and do not make anybody vomit.</p>
      <dl className="ill-numbers">
        <CallNumber title="Emergency" value={numbers?.emergency} />
        <CallNumber title="Poison centre" value={numbers?.poisonCentre} />
        <CallNumber title="Doctor" value={numbers?.doctor} />
      </dl>
      <p className="ill-keep">
        <strong>Keep a sample</strong> of everything: leftovers, trimmings, what is in the bin, a picture of the place.
        Tell them the plant’s scientific name, how much, and when.
      </p>
      <p className="ill-name">
        Say which of these there are: vomiting or diarrhoea and how long after eating; burning or numb mouth; trouble
        breathing or swallowing; slow, fast or stumbling heart; wide pupils, seeing badly, confusion; fits; no water
        passed; yellow skin. Some poisons show only after a day or more: feeling better is not being safe.
      </p>
    </section>
  )
}

function CallNumber({ title, value }: { title: string; value: string | undefined }) {
  return (
    <div>
      <dt>{title}</dt>
      <dd>
        {value === undefined || value === '' ? (
          <em>not entered: look it up now</em>
        ) : (
          <a href={`tel:${value}`}>{value}</a>
        )}
      </dd>
    </div>
  )
}
