/**
 * The same work done once for each pair of arguments, both of which must never change: screens ask for the same verdicts many
 * times over. What is known of a context goes when the context does.
 */
export function onceEach<Subject extends object, Context extends object, Result>(
  work: (subject: Subject, context: Context) => Result,
): (subject: Subject, context: Context) => Result {
  const done = new WeakMap<Context, WeakMap<Subject, { readonly result: Result }>>()
  return (subject, context) => {
    const known = done.get(context) ?? new WeakMap<Subject, { readonly result: Result }>()
    done.set(context, known)
    const found = known.get(subject) ?? { result: work(subject, context) }
    known.set(subject, found)
    return found.result
  }
}
