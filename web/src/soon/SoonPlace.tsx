/** A place that stands in the path and is not built yet, said in one line. */
export function SoonPlace({ name, tells }: { name: string; tells: string }) {
  return (
    <section className="empty">
      <h1>{name}</h1>
      <p>
        {name === 'Nothing here' ? 'There is' : 'Not built yet:'} {tells}.
      </p>
    </section>
  )
}
